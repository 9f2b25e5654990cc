import type { Point } from '../geometry/point';
import { gradientAt } from '../green/slope';
import { evenGreen, linePutt } from '../physics/putt';
import { referencePutting } from '../golf/putting';
import { planPutt } from './putt-line';
import { puttOn } from './putt-on';

const fall = { by: 'fall', towardsDeg: 270, percent: 2 } as const;
/** Heights of a plane that rises by 1% to the right and 2% up the plan. */
const plane: { at: Point; heightM: number }[] = [
  [0, 0],
  [8, 0],
  [0, 8],
  [8, 8],
  [4, 4],
  [4, 9],
  [-3, 2],
].map(([x, y]) => ({ at: [x!, y!], heightM: 0.01 * x! + 0.02 * y! }));

test('on a plan that falls evenly a putt is that on an even green', () => {
  // It falls to the left of the plan: a putt straight up the plan is higher on the right.
  const { distanceM, ground } = puttOn({ slope: fall, stimpFt: 9 }, [0, 0], [0, 3]);
  expect(distanceM).toBe(3);
  expect(ground.slopeAt([0, 1])[0]).toBeCloseTo(0.02, 9);
  expect(ground.slopeAt([0, 1])[1]).toBeCloseTo(0, 9);
  const [onPlan, even] = [ground, evenGreen(9, 0.02, 0)].map((one) => linePutt(3, 0.3, one)!);
  expect(onPlan!.aimRad).toBeCloseTo(even!.aimRad, 6);
  // Turned by a quarter the same slope is uphill: straight.
  const uphill = puttOn({ slope: fall, stimpFt: 9 }, [0, 0], [3, 0]);
  expect(linePutt(3, 0.3, uphill.ground)!.aimRad).toBeCloseTo(0, 5);
  expect(uphill.ground.slopeAt([0, 1])[1]).toBeCloseTo(0.02, 9);
});

test('heights in one plane are that plane everywhere', () => {
  for (const at of [
    [0, 0],
    [5, 7],
    [-10, 20],
  ] as Point[])
    gradientAt({ by: 'spots', spots: plane })(at).forEach((slope, i) => expect(slope).toBeCloseTo([0.01, 0.02][i]!, 6));
});

test('where a green has two tiers, each lies as the heights near it do; of few heights all count alike', () => {
  // Level on the left, and rising by 4% up the plan on the right.
  const spots = [-6, -4, -2, 8, 10, 12].flatMap((x) => [0, 4, 8].map((y) => ({ at: [x, y] as Point, heightM: x > 3 ? 0.04 * y : 0 })));
  const lies = gradientAt({ by: 'spots', spots });
  expect(lies([-5, 4])[1]).toBeLessThan(0.004);
  expect(lies([11, 4])[1]).toBeGreaterThan(0.036);
  const few = gradientAt({ by: 'spots', spots: plane.slice(0, 4) });
  expect(few([0, 0])).toEqual(few([50, 50]));
  expect(gradientAt(null)([1, 1])).toEqual([0, 0]);
});

test('a putt over a change of slope breaks by the part it rolls on', () => {
  const spots = [-6, 0, 6].flatMap((x) => [0, 4, 8, 12].map((y) => ({ at: [x, y] as Point, heightM: y > 6 ? 0.02 * x : 0 })));
  const over = (from: Point, to: Point) => {
    const { distanceM, ground } = puttOn({ slope: { by: 'spots', spots }, stimpFt: 9 }, from, to);
    return planPutt(distanceM, 0.3, ground, referencePutting(10))!.asideM;
  };
  expect(over([0, 0], [0, 3])).toBeLessThan(over([0, 9], [0, 12]));
});
