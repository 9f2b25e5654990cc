import fc from 'fast-check';
import { projectShots } from '../shot/project';
import { entrants, game, holed, left, playOut, station } from '../testing/make';
import { LIBRARY } from '../game/library';
import { playSession } from './play';
import { schemeOf } from '../game/scoring';
import { leastBallsToGo } from './to-go';

const closed = LIBRARY.filter(({ spec }) => !spec.open);

test.each(closed.map(({ key, spec }) => [key, spec] as const))('%s is never over sooner than it says', (_key, spec) => {
  const people = entrants(Math.max(2, schemeOf(spec.scoring).players));
  fc.assert(
    fc.property(fc.array(fc.boolean(), { minLength: 7, maxLength: 7 }), (drops) => {
      const { events } = playOut(spec, (_turn, _seat, n) => (drops[n % drops.length] ? holed : { ...left(9), strokes: 3 }), { people });
      const shots = projectShots(events);
      const after = (n: number) => playSession(spec, people, shots.slice(0, n));
      const end = shots.findIndex((_, n) => after(n + 1).over) + 1;
      expect(leastBallsToGo(after(end))).toBe(0);
      for (const n of [0, 1, 2, Math.floor(end / 2), end - 2, end - 1].filter((one) => one >= 0 && one < end)) {
        const least = leastBallsToGo(after(n));
        expect(least).toBeGreaterThanOrEqual(1);
        expect(n + least).toBeLessThanOrEqual(end);
      }
    }),
    { numRuns: 6 },
  );
});

test('where every ball is played it says exactly how many; a total takes as many as it stands for', () => {
  const spec = game();
  const people = entrants(2);
  const { events } = playOut(spec, () => left(5), { people });
  const least = (n: number) => leastBallsToGo(playSession(spec, people, projectShots(events.slice(0, n))));
  expect([0, 1, 5, 11, 12].map(least)).toEqual([12, 11, 7, 1, 0]);
});

test('practice without an end is never over by its balls', () => {
  const spec = game({ open: true, stations: [station('a')] });
  expect(leastBallsToGo(playSession(spec, entrants(1), []))).toBe(Infinity);
});
