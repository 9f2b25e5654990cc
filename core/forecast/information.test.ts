import { game, station, ft, yd } from '../testing/make';
import type { Scoring } from '../game/scoring';
import { LIBRARY } from '../game/library';
import { modelOf } from '../skill/model';
import { shippedReference } from '../golf/reference';
import { playerOfLevel } from './levels';
import { quantile } from './outlook';
import { stopsOf } from './sizes';
import { informationOf, compareInformation } from './information';

const model = modelOf(shippedReference);
const chips = (scoring: Scoring) => ({ ...game(), stations: [station('a', { distanceM: yd(15), carryM: yd(6) })], scoring });
const tells = (scoring: Scoring, level = 10) => informationOf(chips(scoring), playerOfLevel(game(), level, model), model);
const circle = (feet: number): Scoring => ({ scheme: 'hits', radiusM: ft(feet) });
const rings = (...feet: number[]): Scoring => ({
  scheme: 'ring_points',
  holedPoints: 9,
  rings: feet.map((edge, i) => ({ key: `r${i}`, radiusM: ft(edge), points: feet.length - i })),
});
const middleFt = shippedReference.shot(10, 'chip', 'fairway', yd(15))!.medianLeftFt;

test('measured distances tell nearly all, rings most, one circle at the middle more than half, strokes a third', () => {
  // The ranges measured for the skill model: rings .4-.9, a circle near the median .6, a badly sized one .03-.3, strokes .24-.37.
  expect(tells({ scheme: 'total_left', farM: 30 })).toBeGreaterThan(0.97);
  expect(tells(rings(middleFt / 2, middleFt, middleFt * 1.75))).toBeGreaterThan(0.75);
  expect(tells(rings(middleFt / 2, middleFt, middleFt * 1.75))).toBeLessThan(0.95);
  expect(tells(circle(middleFt))).toBeCloseTo(0.6, 1);
  for (const badly of [middleFt / 4, middleFt * 6]) expect(tells(circle(badly))).toBeLessThan(0.3);
  const strokes = tells({ scheme: 'hole_out', counts: 'strokes', pickUpAfter: 6, extraFromLevel: null });
  expect(strokes).toBeGreaterThan(0.2);
  expect(strokes).toBeLessThan(0.4);
});

test('what was executed or not tells nothing of the distance left', () => {
  expect(
    tells({ scheme: 'shot_matrix', route: [], farM: null, trajectory: ['low', 'high'], shape: ['draw', 'fade'], swingWidth: [] }),
  ).toBe(0);
});

test('merged rings tell less, and one more ring never tells less', () => {
  const edges = [0.4, 0.8, 1.2, 2, 3].map((share) => share * middleFt);
  for (let n = 1; n < edges.length; n++)
    expect(tells(rings(...edges.slice(0, n + 1)))).toBeGreaterThanOrEqual(tells(rings(...edges.slice(0, n))) - 1e-9);
  // A circle is a ring with one boundary.
  expect(tells(rings(middleFt))).toBeCloseTo(tells(circle(middleFt)), 9);
});

test('a circle that suits a good player tells little of a weak one', () => {
  const small = circle(middleFt * 0.4);
  expect(tells(small, 28)).toBeLessThan(tells(small, 0));
});

test('where far balls are not measured, less is told', () => {
  expect(tells({ scheme: 'total_left', farM: ft(3) })).toBeLessThan(0.7 * tells({ scheme: 'total_left', farM: ft(60) }));
});

test('every library game tells between nothing and all, with its comparisons', () => {
  for (const { spec } of LIBRARY.filter(({ spec }) => !spec.open)) {
    const player = playerOfLevel(spec, 10, model);
    const half = quantile(stopsOf(spec, player, model, { balls: 4000, seed: 1 }).leftM, 0.5);
    const { game: own, circle: one, strokes } = compareInformation(spec, player, model, Number.isFinite(half) && half > 0 ? half : 0.3);
    for (const share of [own, one.share, strokes]) {
      expect(share).toBeGreaterThanOrEqual(0);
      expect(share).toBeLessThanOrEqual(1);
    }
  }
  expect(() => informationOf({ ...game(), stations: [] }, playerOfLevel(game(), 10, model), model)).toThrow(RangeError);
});
