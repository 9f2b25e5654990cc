import type { FromImport, Opened } from './import-messages';
import { importing, textOf } from './importing';

const given = {
  timeZone: 'UTC',
  nowMs: Date.parse('2026-11-30T12:00:00Z'),
  own: { paceM: null, clubM: null, putterM: null, flagstickM: null, shoeM: null },
};
const bytes = (...parts: number[]) => new Uint8Array(parts).buffer;
const utf8 = (text: string) => new TextEncoder().encode(text).buffer as ArrayBuffer;

function started() {
  const said: FromImport[] = [];
  const send = importing(
    (message) => said.push(message),
    () => Promise.resolve(),
  );
  return { said, send };
}
const settled = () => new Promise((resolve) => setTimeout(resolve, 20));

test('a file is read in the letters it was written in', () => {
  expect(textOf(utf8('Édith'))).toBe('Édith');
  expect(textOf(bytes(0xc9, 0x64))).toBe('Éd');
  expect(textOf(bytes(0xff, 0xfe, 0x41, 0x00, 0xc9, 0x00))).toBe('AÉ');
  expect(textOf(bytes(0xfe, 0xff, 0x00, 0x41))).toBe('A');
});

test.each([
  ['nothing', new ArrayBuffer(0), 'empty'],
  ['a picture', bytes(0x89, 0x50, 0x4e, 0x47, 0, 0, 0, 13, 0xff, 0xd8), 'text file'],
])('%s is refused in a sentence', (_, file, sentence) => {
  const { said, send } = started();
  send({ open: file, given, system: 'imperial' });
  expect(said).toEqual([{ failed: expect.stringContaining(sentence) }]);
});

test('a file is opened, looked through, corrected, sent; a newer question ends the older', async () => {
  const { said, send } = started();
  const rows = Array.from({ length: 1200 }, (_, i) => `2026-05-03,Otto,chip,fringe,10 yd,${i === 7 ? 'x' : '4 ft'}`);
  send({ open: utf8(['date,player,shot,lie,distance,left', ...rows].join('\n')), given, system: 'imperial' });
  const { opened } = said.shift() as { opened: Opened };
  expect(opened).toMatchObject({ kind: 'balls', names: ['date', 'player', 'shot', 'lie', 'distance', 'left'] });
  const mapping = opened.guess.balls;
  send({ ask: 1, look: mapping });
  send({ ask: 2, look: mapping });
  await settled();
  const looks = said.flatMap((one) => ('look' in one ? [[one.ask, one.look.good, one.look.bad]] : []));
  expect(looks).toEqual([[2, 1199, 1]]);
  send({ bad: mapping });
  expect(said.at(-1)).toMatchObject({ bad: expect.stringMatching(/^date,.*Why it was left out\n2026-05-03,Otto,chip,fringe,10 yd,x,9,/) });
  send({ correct: 9, cells: ['2026-05-03', 'Otto', 'chip', 'fringe', '10 yd', '3 ft'] });
  send({ next: true, as: { mapping, players: [['Otto', 'id-of-otto']] } });
  send({ next: true });
  send({ next: true });
  send({ next: true });
  const batches = said.flatMap((one) => ('batch' in one ? [one.batch] : []));
  expect(batches.map((batch) => batch?.rows.length ?? null)).toEqual([500, 500, 200, null]);
  expect(batches[0]!.rows[0]!.cells).toContain('id-of-otto');
});
