import fc from 'fast-check';
import { along, bearing, distance, leftOf, nearestOn, ofBearing, turn, unit, type Point } from './point';
import { areaOf, contains, fanTouches, faultOf, outlineSchema, stretchesInside, toEdge, type Outline } from './polygon';

/** A square of 20 m round the origin, and an L of two arms. */
const SQUARE: Outline = [
  [-10, -10],
  [10, -10],
  [10, 10],
  [-10, 10],
];
const ELL: Outline = [
  [0, 0],
  [9, 0],
  [9, 3],
  [3, 3],
  [3, 9],
  [0, 9],
];

const place = fc.tuple(fc.double({ min: -30, max: 30, noNaN: true }), fc.double({ min: -30, max: 30, noNaN: true }));
const degrees = fc.double({ min: 0, max: 360, noNaN: true });

const turned = (deg: number) => (p: Point) => {
  const a = (deg * Math.PI) / 180;
  return [p[0] * Math.cos(a) - p[1] * Math.sin(a), p[0] * Math.sin(a) + p[1] * Math.cos(a)] as Point;
};

test('bearings run clockwise from up the plan, and turns keep their sign', () => {
  expect([bearing([0, 0], [0, 5]), bearing([0, 0], [5, 0]), bearing([0, 0], [0, -5]), bearing([0, 0], [-5, 0])]).toEqual([0, 90, 180, 270]);
  expect([turn(350, 10), turn(10, 350), turn(0, 180)]).toEqual([20, -20, -180]);
  expect(leftOf([0, 1])).toEqual([-1, 0]);
  fc.assert(
    fc.property(place, degrees, fc.double({ min: 0.1, max: 90, noNaN: true }), (from, deg, far) => {
      const to = along(from, ofBearing(deg), far);
      expect(distance(from, to)).toBeCloseTo(far, 6);
      expect(Math.abs(turn(bearing(from, to), deg))).toBeLessThan(1e-5);
    }),
  );
});

test('areas, edges and insides of shapes with known answers', () => {
  expect([areaOf(SQUARE), areaOf(ELL)]).toEqual([400, 45]);
  expect([contains(SQUARE, [0, 0]), contains(SQUARE, [10, 3]), contains(SQUARE, [10.001, 3])]).toEqual([true, true, false]);
  expect([contains(ELL, [2, 8]), contains(ELL, [4, 4])]).toEqual([true, false]);
  // From inside to the nearest side, from beside to the side, from beyond a corner to the corner.
  expect([toEdge(SQUARE, [7, 0]), toEdge(SQUARE, [14, 2]), toEdge(SQUARE, [13, 14])]).toEqual([3, 4, 5]);
  expect(nearestOn([0, 0], [10, 0], [-3, 4])).toEqual([0, 0]);
});

test('a line runs inside where it should: through, out and in again, along an edge, through a corner', () => {
  expect(stretchesInside(SQUARE, [-25, 0], [1, 0], 100)).toEqual([{ from: 15, to: 35 }]);
  expect(stretchesInside(SQUARE, [0, 0], [1, 0], 4)).toEqual([{ from: 0, to: 4 }]);
  expect(stretchesInside(SQUARE, [0, 0], [1, 0], Infinity)).toEqual([{ from: 0, to: 10 }]);
  // Down the L's arm, across its gap and over the other arm: from (1, 10) towards (10, 1).
  const across = stretchesInside(ELL, [1, 10], unit([1, 10], [10, 1]), Infinity).map(({ from, to }) =>
    [from, to].map((m) => m / Math.SQRT2),
  );
  expect(across.map((pair) => pair.map((m) => Math.round(m * 1e6) / 1e6))).toEqual([
    [1, 2],
    [7, 8],
  ]);
  expect(stretchesInside(SQUARE, [-20, 10], [1, 0], Infinity)).toEqual([{ from: 10, to: 30 }]);
  const diagonal = stretchesInside(SQUARE, [-20, -20], unit([-20, -20], [0, 0]), Infinity);
  expect(diagonal).toHaveLength(1);
  expect(diagonal[0]!.from).toBeCloseTo(10 * Math.SQRT2, 9);
  expect(stretchesInside(SQUARE, [-20, 11], [1, 0], Infinity)).toEqual([]);
});

test('a fan meets a shape by a corner, by an edge alone, by its arc, or not at all', () => {
  const box = (x: number, y: number): Outline => [
    [x, y],
    [x + 2, y],
    [x + 2, y + 2],
    [x, y + 2],
  ];
  expect(fanTouches(box(-1, 10), [0, 0], [0, 1], 6, 20)).toBe(true);
  expect(fanTouches(box(-1, 10), [0, 0], [0, 1], 6, 9.9)).toBe(false);
  // tan 6° at 10 m is 1.05 m.
  expect(fanTouches(box(1.3, 8), [0, 0], [0, 1], 6, 20)).toBe(false);
  expect(fanTouches(box(0.9, 8), [0, 0], [0, 1], 6, 20)).toBe(true);
  const wall: Outline = [
    [-30, 12],
    [30, 12],
    [30, 13],
    [-30, 13],
  ];
  expect(fanTouches(wall, [0, 0], [0, 1], 6, 20)).toBe(true);
  expect(fanTouches(wall, [0, 0], [0, 1], 6, 12.01)).toBe(true);
  expect(fanTouches(wall, [0, 0], [0, -1], 6, 20)).toBe(false);
});

test('turning or mirroring the plane changes no answer', () => {
  fc.assert(
    fc.property(place, place, degrees, fc.boolean(), (a, b, deg, mirror) => {
      fc.pre(distance(a, b) > 0.5);
      const by = (p: Point): Point => turned(deg)(mirror ? [-p[0], p[1]] : p);
      const shape = ELL.map(by);
      expect(toEdge(shape, by(a))).toBeCloseTo(toEdge(ELL, a), 6);
      expect(areaOf(shape)).toBeCloseTo(45, 6);
      const inside = (outline: Outline, from: Point, to: Point) =>
        stretchesInside(outline, from, unit(from, to), Infinity).reduce((sum, one) => sum + one.to - one.from, 0);
      expect(inside(shape, by(a), by(b))).toBeCloseTo(inside(ELL, a, b), 4);
    }),
  );
});

test('outlines that are none are refused with a sentence', () => {
  const bow: Outline = [
    [0, 0],
    [10, 10],
    [10, 0],
    [0, 10],
  ];
  const spike: Outline = [
    [0, 0],
    [10, 0],
    [10, 10],
    [10, 4],
    [0, 10],
  ];
  const touching: Outline = [
    [0, 0],
    [10, 0],
    [5, 5],
    [10, 10],
    [0, 10],
    [5, 5],
  ];
  expect(faultOf([])).toMatch('three points');
  expect(faultOf([...SQUARE, SQUARE[3]!])).toMatch('in the same place');
  expect(
    faultOf([
      [0, 0],
      [5, 0],
      [10, 0],
    ]),
  ).toMatch('smaller than half');
  for (const shape of [bow, spike, touching]) expect(faultOf(shape)).toMatch('crosses itself');
  expect([faultOf(SQUARE), faultOf(ELL), faultOf(ELL.toReversed())]).toEqual([null, null, null]);
  expect(
    outlineSchema.safeParse(Array.from({ length: 501 }, (_, i) => along([0, 0], ofBearing(i * 0.7), 20))).error?.issues[0]?.message,
  ).toMatch('at most 500');
  expect(
    outlineSchema.safeParse([
      [0, 0],
      [1, Number.NaN],
      [2, 0],
    ]).success,
  ).toBe(false);
  expect(
    outlineSchema.safeParse([
      [0, 0],
      [900, 0],
      [2, 9],
    ]).error?.issues[0]?.message,
  ).toMatch('500 m');
});
