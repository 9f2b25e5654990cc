import fc from 'fast-check';
import { fittedInto, withBoundary, withMinutes, without } from './minutes';
import { partsOf } from './parts-of';
import { PRESETS, repetitionShare, REPETITIONS, schoolSchema, type School } from './school';

const sum = (parts: readonly { minutes: number }[]) => parts.reduce((total, { minutes }) => total + minutes, 0);
const school: fc.Arbitrary<School> = fc.record({
  name: fc.constant('x'),
  repetition: fc.constantFrom(...REPETITIONS),
  weeks: fc.integer({ min: 0, max: 12 }),
  begins: fc.constantFrom('easy' as const, 'awkward' as const),
  attempts: fc.constantFrom('first' as const, 'until_works' as const),
  aims: fc.constantFrom('landing' as const, 'finish' as const),
  again: fc.boolean(),
});
const some = fc.array(
  fc.integer({ min: 1, max: 60 }).map((minutes) => ({ minutes })),
  { minLength: 2, maxLength: 8 },
);

test('whatever the school and the time, the parts add up to the minute and the game is last', () => {
  fc.assert(
    fc.property(school, fc.integer({ min: 5, max: 180 }), (wanted, minutes) => {
      const parts = partsOf(wanted, minutes);
      expect(sum(parts)).toBe(minutes);
      expect(parts.at(-1)!.kind).toBe('game');
      expect(parts.every((part) => part.minutes >= 1)).toBe(true);
    }),
  );
});

test('an hour to settle and mix: a fifth is technique, and the rest is landing, lies, putting and the game', () => {
  const [settle] = PRESETS;
  expect(partsOf(settle!.school, 60)).toEqual([
    { kind: 'technique', minutes: 12 },
    { kind: 'landing', minutes: 9 },
    { kind: 'lies', minutes: 14 },
    { kind: 'putting', minutes: 11 },
    { kind: 'game', minutes: 14 },
  ]);
});

test('where time is short the parts become fewer, and at last only the game is left', () => {
  const kinds = (minutes: number) => partsOf(PRESETS[0]!.school, minutes).map(({ kind }) => kind);
  expect(kinds(20)).toEqual(['technique', 'lies', 'putting', 'game']);
  expect(kinds(15)).toEqual(['lies', 'putting', 'game']);
  expect(kinds(5)).toEqual(['game']);
});

test('test, practise, test again: the test is first and the game last', () => {
  const parts = partsOf(PRESETS.find(({ key }) => key === 'test')!.school, 40);
  expect([parts[0]!.kind, parts.at(-1)!.kind]).toEqual(['test', 'game']);
});

test('technique grows by the week, up to three fifths', () => {
  const share = (weeks: number) => repetitionShare(schoolSchema.parse({ name: 'x', repetition: 'growing', weeks }));
  expect([share(0), share(3), share(12)]).toEqual([0.25, 0.4, 0.6]);
  expect(repetitionShare({ repetition: 'none', weeks: 5 })).toBe(0);
});

test('other minutes for one part, a boundary that is dragged, a part taken out: the sum stays, and each keeps a minute', () => {
  fc.assert(
    fc.property(some, fc.nat(), fc.integer({ min: -20, max: 500 }), (parts, n, wanted) => {
      const at = n % parts.length;
      const [typed, dragged, fewer] = [
        withMinutes(parts, at, wanted),
        withBoundary(parts, n % (parts.length - 1), wanted),
        without(parts, at),
      ];
      for (const changed of [typed, dragged, fewer]) {
        if (changed !== fewer || sum(parts) >= fewer.length) expect(sum(changed)).toBe(sum(parts));
        expect(changed.every(({ minutes }) => minutes >= 1 && Number.isInteger(minutes))).toBe(true);
      }
      expect(typed[at]!.minutes).toBe(Math.min(sum(parts) - parts.length + 1, Math.max(1, wanted)));
    }),
  );
});

test('what one part takes, the next gives; what the last takes, the one before', () => {
  const parts = [10, 10, 10].map((minutes) => ({ minutes }));
  const minutes = (list: readonly { minutes: number }[]) => list.map((part) => part.minutes);
  expect(minutes(withMinutes(parts, 0, 13))).toEqual([13, 7, 10]);
  expect(minutes(withMinutes(parts, 2, 25))).toEqual([4, 1, 25]);
  expect(minutes(withBoundary(parts, 1, 26))).toEqual([10, 16, 4]);
  expect(minutes(fittedInto(parts, 15))).toEqual([5, 5, 5]);
});
