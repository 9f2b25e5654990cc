import fc from 'fast-check';
import { along } from './piecewise';

const curve = [
  [0, 1],
  [2, 5],
  [6, 3],
] as const;

test('between its points a curve is straight, and beyond them it goes on as it ended', () => {
  expect([0, 1, 2, 4, 6].map((x) => along(curve, x))).toEqual([1, 3, 5, 4, 3]);
  // Two a step before the first point, half a step down after the last.
  expect([along(curve, -1), along(curve, 8)]).toEqual([-1, 2]);
});

test('a straight line is read as itself, wherever its points are', () => {
  fc.assert(
    fc.property(
      fc.uniqueArray(fc.integer({ min: -50, max: 50 }), { minLength: 2, maxLength: 8 }),
      fc.double({ min: -100, max: 100, noNaN: true }),
      (list, x) => {
        const points = list.sort((a, b) => a - b).map((at) => [at, 3 * at - 7] as const);
        expect(along(points, x)).toBeCloseTo(3 * x - 7, 6);
      },
    ),
  );
});
