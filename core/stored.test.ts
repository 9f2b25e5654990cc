import fc from 'fast-check';
import { day, filledLine, key, line, lines, moment, timeZone, whole } from './stored';

const NUL = String.fromCharCode(0);
const HALF = String.fromCharCode(0xd83c);

test.each([
  ['NUL', NUL],
  ['half of a pair', HALF],
  ['a bell', String.fromCharCode(7)],
  ['a delete', String.fromCharCode(127)],
  ['a next line', String.fromCharCode(0x85)],
])('%s is refused in every text, with a sentence', (_, bad) => {
  for (const schema of [line(40), filledLine(40), lines(40), key]) {
    const read = schema.safeParse(`a${bad}b`);
    expect(read.error?.issues[0]?.message).toBe('This has a character that can’t be saved. Type it again.');
  }
});

test('a text is put together, and blanks around it go; lines may be several, a line is one', () => {
  expect(line(40).parse('  Zoe\u0301  ')).toBe('Zo\u00e9');
  expect(line(40).parse('🏌️‍♀️ Müller')).toBe('🏌️‍♀️ Müller');
  expect(lines(40).parse('one\r\ntwo\rthree\n')).toBe('one\ntwo\nthree');
  expect(line(40).safeParse('one\ntwo').success).toBe(false);
  expect(line(40).safeParse('x'.repeat(41)).error?.issues[0]?.message).toBe('At most 40 characters.');
  expect(filledLine(40, 'Enter a name.').safeParse('  ').error?.issues[0]?.message).toBe('Enter a name.');
});

test('what is read as a text is well formed, and reads as itself again', () => {
  fc.assert(
    fc.property(fc.string({ unit: 'binary', maxLength: 60 }), (text) => {
      const read = lines(80).safeParse(text);
      if (!read.success) return;
      expect(/\p{Cs}/u.test(read.data)).toBe(false);
      expect(read.data).not.toContain(NUL);
      expect(lines(80).parse(read.data)).toBe(read.data);
    }),
  );
});

test('a whole number fits its column', () => {
  expect(whole().safeParse(2 ** 31 - 1).success).toBe(true);
  for (const bad of [2 ** 31, -1, 0.5, 1e300, NaN]) expect(whole().safeParse(bad).success).toBe(false);
  expect(whole(1).safeParse(0).success).toBe(false);
});

test('a moment lies in a year that is stored, wherever on earth it is', () => {
  for (const good of ['2026-05-01T18:00:00Z', '1970-01-01T00:00:00+14:00', '2999-12-31T23:59:59.999-12:00'])
    expect(moment.safeParse(good).success).toBe(true);
  for (const bad of [
    '0000-06-01T00:00:00Z',
    '0001-01-01T00:00:00+14:00',
    '9999-12-31T23:00:00-12:00',
    '2026-05-01',
    '2026-02-30T00:00:00Z',
  ])
    expect(moment.safeParse(bad).success).toBe(false);
});

test('a day is one on which somebody may have played; a time zone is one that is known', () => {
  expect(['2026-05-01', '9999-12-31', '0000-01-01', '2026-13-01'].map((text) => day.safeParse(text).success)).toEqual([
    true,
    false,
    false,
    false,
  ]);
  expect(['Europe/Dublin', 'UTC', 'Mars/Olympus', '', 'Europe/../Dublin'].map((zone) => timeZone.safeParse(zone).success)).toEqual([
    true,
    true,
    false,
    false,
    false,
  ]);
});
