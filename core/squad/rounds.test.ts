import fc from 'fast-check';
import { rotate, type InTheWay } from './rounds';

/** Some stations, groups that have room, and lines that cross or not. */
const wish = (mostStations: number) =>
  fc.integer({ min: 1, max: mostStations }).chain((stations) =>
    fc.record({
      stations: fc.constant(stations),
      groups: fc.integer({ min: 1, max: stations }),
      times: fc.integer({ min: 1, max: 2 }),
      pairs: fc.array(fc.boolean(), { minLength: stations * stations, maxLength: stations * stations }),
      often: fc.double({ min: 0, max: 1, noNaN: true }),
    }),
  );
function crossing(stations: number, pairs: readonly boolean[]): InTheWay {
  return Array.from({ length: stations }, (_, a) =>
    Array.from({ length: stations }, (_, b) => a !== b && pairs[Math.min(a, b) * stations + Math.max(a, b)]!),
  );
}
const none = (stations: number) => crossing(stations, new Array<boolean>(stations * stations).fill(false));

test('every group has every station as often as wished, and no two groups the same one at once', () => {
  fc.assert(
    fc.property(wish(8), ({ stations, groups, times, pairs }) => {
      const { rounds } = rotate(stations, groups, times, crossing(stations, pairs));
      expect(rounds).toHaveLength(stations * times);
      for (const round of rounds) expect(new Set(round).size).toBe(groups);
      for (let group = 0; group < groups; group++)
        for (let station = 0; station < stations; station++) expect(rounds.filter((round) => round[group] === station)).toHaveLength(times);
    }),
    { numRuns: 400 },
  );
});

test('up to twelve stations with as many groups', () => {
  for (const [stations, groups] of [
    [12, 12],
    [12, 5],
    [12, 1],
    [1, 1],
  ] as const) {
    const { rounds, conflicts } = rotate(stations, groups, 1, none(stations));
    expect([rounds.length, conflicts]).toEqual([stations, []]);
  }
});

/** Whether there is any way without a conflict, by trying all of them. */
function possible(stations: number, groups: number, inTheWay: InTheWay): boolean {
  const sets: number[][] = [];
  const all = (from: number, set: number[]) => {
    if (set.length === groups) sets.push(set);
    else for (let i = from; i < stations; i++) if (set.every((j) => !inTheWay[i]![j])) all(i + 1, [...set, i]);
  };
  all(0, []);
  const need = new Array<number>(stations).fill(groups);
  // In any order of the sets, each as often as it still fits.
  const fill = (from: number, left: number): boolean => {
    if (left === 0) return true;
    for (let s = from; s < sets.length; s++) {
      if (sets[s]!.some((i) => need[i] === 0)) continue;
      for (const i of sets[s]!) need[i]!--;
      const found = fill(s, left - 1);
      for (const i of sets[s]!) need[i]!++;
      if (found) return true;
    }
    return false;
  };
  return fill(0, stations);
}

test('no conflict wherever an arrangement without one exists, by trying every one of small cases', () => {
  let [can, cannot] = [0, 0];
  fc.assert(
    fc.property(wish(6), ({ stations, groups, pairs, often }) => {
      const inTheWay = crossing(
        stations,
        pairs.map((pair, i) => pair && ((i * 7919) % 100) / 100 < often),
      );
      const { conflicts } = rotate(stations, groups, 1, inTheWay);
      const there = possible(stations, groups, inTheWay);
      if (there) can++;
      else cannot++;
      expect(conflicts.length === 0).toBe(there);
    }),
    { numRuns: 3000, seed: 7 },
  );
  // Both come up.
  expect(Math.min(can, cannot)).toBeGreaterThan(20);
});

test('two of three stations in each other’s way: one group avoids it, two cannot', () => {
  const inTheWay = crossing(3, [false, true, true, false, false, true, false, false, false]);
  expect(rotate(3, 1, 1, inTheWay).conflicts).toEqual([]);
  expect(rotate(3, 2, 1, inTheWay).conflicts.length).toBeGreaterThan(0);
});

test('more groups than stations have no room', () => {
  expect(() => rotate(3, 4, 1, none(3))).toThrow(RangeError);
});
