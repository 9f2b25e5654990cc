import fc from 'fast-check';
import { COUNT_FOR_AT_MOST, discounted } from './discount';
import type { BallGroup } from './groups';

const group = (kind: BallGroup['kind'], n: number, more: Partial<BallGroup> = {}): BallGroup => ({
  cell: 'chip|fairway|10',
  kind,
  distanceM: 13.7,
  lo: 1,
  hi: 2,
  blur: 0,
  value: 0,
  lie: 0,
  spotM: 0,
  n,
  ...more,
});
const counted = (groups: readonly BallGroup[]) => discounted(groups).reduce((sum, { n }) => sum + n, 0);

test('a few balls count nearly all, and any number of them for no more than the most', () => {
  expect(counted([group('between', 1)])).toBeCloseTo(1 / (1 + 1 / 350), 12);
  expect(counted([group('between', 350)])).toBeCloseTo(175, 12);
  fc.assert(
    fc.property(fc.double({ min: 0.01, max: 1e6, noNaN: true }), (n) => {
      const now = counted([group('between', n)]);
      expect(now).toBeLessThan(Math.min(n, COUNT_FOR_AT_MOST.zone));
      expect(counted([group('between', 1.1 * n)])).toBeGreaterThan(now);
    }),
  );
});

test('measured balls of one cell, rings and strokes fill one measure together; another cell has its own', () => {
  const [ring, tape, other] = discounted([
    group('between', 350),
    group('between', 220, { blur: 0.02 }),
    group('between', 1, { cell: 'chip|fairway|20' }),
  ]);
  // Each fills the measure once: a third of the balls is left.
  expect([ring!.n, tape!.n]).toEqual([expect.closeTo(350 / 3, 9), expect.closeTo(220 / 3, 9)]);
  expect(other!.n).toBeCloseTo(1 / (1 + 1 / 350), 12);
});

test('how balls are divided into groups changes nothing; landings do not use up what finishes count', () => {
  const one = counted([group('between', 60, { lo: 0, hi: 1 }), group('between', 40)]);
  const many = counted(Array.from({ length: 100 }, (_, i) => group('between', 1, i < 60 ? { lo: 0, hi: 1 } : {})));
  expect(many).toBeCloseTo(one, 9);
  const [finish, landing] = discounted([group('between', 10), group('landed', 500, { spotM: 4 })]);
  expect(finish!.n).toBeCloseTo(10 / (1 + 10 / 350), 12);
  expect(landing!.n).toBeLessThan(COUNT_FOR_AT_MOST.landed);
});

test('a missed putt counts as missed like any, and less for where it stopped and for the next one', () => {
  const [stopped, next] = discounted([
    group('leave', 12, { cell: 'putt|green|20', blur: 0.02 }),
    group('putted', 60, { cell: 'putt|green|20', value: 2 }),
  ]);
  expect([stopped!.nAfter, next!.nAfter]).toEqual([expect.closeTo(6, 12), expect.closeTo(30, 12)]);
  expect([stopped!.n, next!.n]).toEqual([expect.closeTo(12 / 1.072, 12), expect.closeTo(60 / 1.072, 12)]);
});
