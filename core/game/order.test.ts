import fc from 'fast-check';
import { apart, canAlternate, inPlayingOrder, lotKey, seedOf } from './order';
import type { Lot } from './scoring/scheme';

const lotsOf = (balls: readonly number[]): Lot[] =>
  balls.flatMap((n, at) => Array.from({ length: n }, (_, i) => ({ at, ballNo: i + 1, asked: {} })));
const anyBalls = fc.array(fc.integer({ min: 1, max: 8 }), { minLength: 1, maxLength: 8 });
const stations = (lots: readonly Lot[]) => lots.map((lot) => lot.at);

test('blocked is as it stands; out and back goes to the farthest and returns', () => {
  expect(stations(inPlayingOrder(lotsOf([2, 1]), 'blocked', 0))).toEqual([0, 0, 1]);
  expect(stations(inPlayingOrder(lotsOf([2, 3, 2]), 'serial', 0))).toEqual([0, 1, 2, 1, 0, 1, 2]);
  expect(stations(inPlayingOrder(lotsOf([3]), 'serial', 0))).toEqual([0, 0, 0]);
  // Once where it turns, or twice: 45, 35, 25, 35, 45 and 45, 35, 25, 25, 35, 45.
  expect(stations(inPlayingOrder(lotsOf([2, 2, 1]), 'serial', 0))).toEqual([0, 1, 2, 1, 0]);
  expect(stations(inPlayingOrder(lotsOf([2, 2, 2]), 'serial_twice', 0))).toEqual([0, 1, 2, 2, 1, 0]);
  expect(stations(inPlayingOrder(lotsOf([4, 4]), 'serial_twice', 0))).toEqual([0, 1, 1, 0, 0, 1, 1, 0]);
  expect(stations(inPlayingOrder(lotsOf([2]), 'serial_twice', 0))).toEqual([0, 0]);
});

test('every order plays every ball once', () => {
  fc.assert(
    fc.property(
      anyBalls,
      fc.constantFrom('blocked' as const, 'serial' as const, 'serial_twice' as const, 'random' as const, 'choice' as const),
      fc.nat(),
      (balls, order, seed) => {
        const lots = lotsOf(balls);
        expect(inPlayingOrder(lots, order, seed).map(lotKey).sort()).toEqual(lots.map(lotKey).sort());
      },
    ),
  );
});

test('random never repeats a station twice running where that can be, and is decided by its seed', () => {
  fc.assert(
    fc.property(anyBalls, fc.nat(), (balls, seed) => {
      const lots = lotsOf(balls);
      const order = stations(inPlayingOrder(lots, 'random', seed));
      expect(stations(inPlayingOrder(lots, 'random', seed))).toEqual(order);
      if (canAlternate(lots) && balls.length > 1) for (let i = 1; i < order.length; i++) expect(order[i]).not.toBe(order[i - 1]);
    }),
    { numRuns: 500 },
  );
});

test('two seeds differ, somewhere', () => {
  const lots = lotsOf([4, 4, 4]);
  const orders = new Set([1, 2, 3, 4, 5].map((seed) => stations(inPlayingOrder(lots, 'random', seed)).join('')));
  expect(orders.size).toBeGreaterThan(2);
});

test('a station with more than all others together cannot be kept apart', () => {
  expect([canAlternate(lotsOf([3, 2])), canAlternate(lotsOf([4, 2])), canAlternate(lotsOf([5]))]).toEqual([true, false, true]);
});

test('out and back moves to the next station that has a ball left, one way until the end', () => {
  fc.assert(
    fc.property(fc.integer({ min: 2, max: 6 }), fc.integer({ min: 1, max: 6 }), (n, balls) => {
      const order = stations(inPlayingOrder(lotsOf(Array.from({ length: n }, () => balls)), 'serial', 0));
      const first = order.slice(0, n);
      expect(first).toEqual(Array.from({ length: n }, (_, i) => i));
    }),
  );
});

test('clubs apart: no neighbours follow each other, from four clubs on', () => {
  expect([apart(2), apart(3)]).toEqual([null, null]);
  for (let n = 4; n <= 14; n++) {
    const order = apart(n)!;
    expect([...order].sort((a, b) => a - b)).toEqual(Array.from({ length: n }, (_, i) => i));
    for (let i = 1; i < n; i++) expect(Math.abs(order[i]! - order[i - 1]!)).toBeGreaterThan(1);
  }
});

test('an id gives the same seed everywhere', () => {
  expect([seedOf(''), seedOf('a')]).toEqual([0x811c9dc5, 0xe40c292c]);
});
