import fc from 'fast-check';
import { idOf } from '../testing/make';
import { hourOf } from '../testing/make-hour';
import { weeksOf } from '../testing/make-weeks';
import { PRESETS } from '../hour/school';
import { LIBRARY } from '../game/library';
import { plusDays } from '../units/plain-day';
import { hourFile, readPlanFile, weeksAnew, weeksFile } from './plan-file';

const title = fc
  .string({ minLength: 1, maxLength: 80, unit: 'grapheme' })
  .filter((text) => text.normalize('NFC').trim().length > 0 && !/\p{C}/u.test(text));
const minutes = fc.integer({ min: 5, max: 40 });
const part = fc.record({
  kind: fc.constantFrom('landing' as const, 'technique' as const, 'other' as const),
  title,
  minutes,
  cue: fc.constantFrom('', 'brush the grass'),
  pinned: fc.boolean(),
});
const hours = fc
  .record({
    title,
    day: fc.constantFrom(null, '2026-05-01'),
    parts: fc.array(part, { minLength: 1, maxLength: 4 }),
    played: fc.option(fc.constantFrom(...LIBRARY)),
    school: fc.constantFrom(...PRESETS),
  })
  .map(({ title: name, day, parts, played, school }) => {
    const game = played
      ? [{ key: 'g', kind: 'game' as const, title: played.spec.title, minutes: 20, game: { gameId: idOf(4), spec: played.spec } }]
      : [];
    const all = [...parts.map((one, i) => ({ key: `p${i}`, ...one })), ...game];
    return hourOf({
      title: name,
      day,
      school: school.school,
      minutes: all.reduce((sum, one) => sum + one.minutes, 0),
      parts: all as never,
    });
  });
const weeks = fc
  .record({
    title,
    days: fc.uniqueArray(fc.integer({ min: 0, max: 27 }), { maxLength: 10 }),
    event: fc.boolean(),
    school: fc.constantFrom(...PRESETS),
  })
  .map(({ title: name, days, event, school }) =>
    weeksOf({
      ...{ title: name, school: school.school, event: event ? { name: 'League', day: '2026-03-30' } : null },
      days: days
        .toSorted((a, b) => a - b)
        .map((n) => ({
          hourId: idOf(n + 1),
          day: plusDays('2026-03-02', n),
          at: n % 2 ? '17:30' : null,
          minutes: 50,
          aim: 'practise' as const,
        })),
    }),
  );

test('a planned session and planned weeks come back from their files as they were, byte for byte', () => {
  fc.assert(
    fc.property(hours, (hour) => {
      const text = hourFile.write(hour);
      const back = readPlanFile(text);
      expect(back).toEqual({ hour });
      expect('hour' in back && hourFile.write(back.hour)).toBe(text);
    }),
    { numRuns: 100 },
  );
  fc.assert(
    fc.property(weeks, (planned) => {
      const text = weeksFile.write(planned);
      expect(readPlanFile(text)).toEqual({ weeks: planned });
    }),
    { numRuns: 100 },
  );
});

test('three hundred damaged plans are refused with a reason, or are plans', () => {
  const files = [
    hourFile.write(hourOf()),
    weeksFile.write(weeksOf({ days: [{ hourId: idOf(1), day: '2026-03-03', at: null, minutes: 50, aim: 'test' }] })),
  ];
  let refused = 0;
  fc.assert(
    fc.property(
      fc.constantFrom(...files),
      fc.nat(),
      fc.nat(60),
      fc.constantFrom('', '{', '"x"', '-1', '9e9', 'null', '=1+1', '[]'),
      (file, at, length, other) => {
        const from = at % file.length;
        const read = readPlanFile(file.slice(0, from) + other + file.slice(from + length));
        if ('hour' in read) return void expect(readPlanFile(hourFile.write(read.hour))).toEqual(read);
        if ('weeks' in read) return void expect(readPlanFile(weeksFile.write(read.weeks))).toEqual(read);
        refused++;
        expect(read.problems[0]!.message).toMatch(/\w{3,}.*/);
      },
    ),
    { numRuns: 450, seed: 5 },
  );
  expect(refused).toBeGreaterThanOrEqual(300);
});

test.each([
  ['{"format":"inch-game","version":1}', 'neither “inch-hour” nor “inch-weeks”'],
  ['{"format":"inch-hour","version":99}', 'made with a newer version'],
  ['[]', 'is one object'],
  ['x', 'it isn’t JSON'],
  ['x'.repeat(600_000), 'too large'],
])('%.30s is refused', (text, reason) => {
  const read = readPlanFile(text);
  expect('problems' in read && read.problems[0]!.message).toContain(reason);
});

test('in another academy the days of planned weeks are new', () => {
  const planned = weeksOf({ days: [{ hourId: idOf(1), day: '2026-03-03', at: null, minutes: 50, aim: 'test' }] });
  expect(weeksAnew(planned, () => idOf(9)).days).toMatchObject([{ hourId: idOf(9), day: '2026-03-03' }]);
});
