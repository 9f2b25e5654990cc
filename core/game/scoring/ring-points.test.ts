import fc from 'fast-check';
import { between, ft, game, holed, left, record } from '../../testing/make';
import { phasesOf, type GamePhase } from '../phases';
import { play } from '../../play/play';
import { projectShots } from '../../shot/project';
import { ringPoints, ringPointsFor, type RingPoints } from './ring-points';
import { ballOf } from './ball';

const rings = game().scoring as RingPoints;
const phase = phasesOf(game()).at(-1)! as GamePhase & { scoring: RingPoints };
const asBall = ballOf;

test.each([
  ['holed', holed, 6],
  ['2 ft', left(2), 4],
  ['3 ft, on the edge: the inner ring', left(3), 4],
  ['3 ft 1', left(3 + 1 / 12), 2],
  ['10 ft, on the last edge', left(10), 1],
  ['10 ft 1', left(10 + 1 / 12), 0],
  ['the second ring', between(3, 6), 2],
  ['outside', between(10, null), 0],
  ['somewhere between 2 and 5 ft: the far end counts', between(2, 5), 2],
])('%s earns what it should', (_, result, points) => {
  expect(ringPointsFor(rings, asBall(result))).toBe(points);
});

test('each key records what the ring is worth', () => {
  expect(ringPoints.asks(phase, phase.stations[0]!).map((key) => [key.key, key.worth])).toEqual([
    ['holed', 6],
    ['r1', 4],
    ['r2', 2],
    ['r3', 1],
    ['outside', 0],
  ]);
  for (const key of ringPoints.asks(phase, phase.stations[0]!)) expect(ringPointsFor(rings, asBall(key.result))).toBe(key.worth);
});

/** Any valid rings: radii grow, points do not. */
const anyRings: fc.Arbitrary<RingPoints> = fc
  .array(fc.tuple(fc.integer({ min: 1, max: 60 }), fc.integer({ min: 0, max: 9 })), { minLength: 1, maxLength: 8 })
  .map((steps) => {
    let radius = 0;
    let points = 40;
    const drawn = steps.map(([wider, less], i) => {
      radius += wider;
      points = Math.max(0, points - less);
      return { key: `r${i}`, radiusM: ft(radius / 12), points };
    });
    return { scheme: 'ring_points', rings: drawn, holedPoints: drawn[0]!.points + 2 };
  });
const anyFeet = fc.double({ min: 0.2, max: 60, noNaN: true });

test('a nearer ball never scores less, and holed never less than any', () => {
  fc.assert(
    fc.property(anyRings, anyFeet, anyFeet, (scoring, a, b) => {
      const [near, far] = [asBall(left(Math.min(a, b))), asBall(left(Math.max(a, b)))];
      expect(ringPointsFor(scoring, near)).toBeGreaterThanOrEqual(ringPointsFor(scoring, far));
      expect(ringPointsFor(scoring, asBall(holed))).toBeGreaterThanOrEqual(ringPointsFor(scoring, near));
    }),
  );
});

test('the total does not depend on the order in which stations are played', () => {
  const results = fc.array(
    fc.oneof(
      anyFeet.map((feet) => left(feet)),
      fc.constant(holed),
    ),
    { minLength: 6, maxLength: 6 },
  );
  fc.assert(
    fc.property(anyRings, results, (scoring, six) => {
      const there = game({ scoring });
      const back = { ...there, stations: there.stations.toReversed() };
      const inOrder = six.map((result, turn) => record(there, turn, result));
      const swapped = [...six.slice(3), ...six.slice(0, 3)].map((result, turn) => record(back, turn, result));
      expect(play(back, projectShots(swapped)).score).toBe(play(there, projectShots(inOrder)).score);
    }),
  );
});

test('the best that a game can give is every ball holed', () => {
  const spec = game();
  const all = Array.from({ length: 6 }, (_, turn) => record(spec, turn, holed));
  expect(play(spec, projectShots(all)).score).toBe(ringPoints.best(phase));
});
