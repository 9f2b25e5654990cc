import fc from 'fast-check';
import type { Point } from '../geometry/point';
import { box, green, standing } from '../testing/make-green';
import { factsOf, oddHole, oddStation } from './facts';
import { groundAt } from './ground';
import { lineOfPlay } from './line';
import { greenPlanSchema, type GreenPlan } from './plan';
import { fallOf, faultOfSpots, gradientOf, planeThrough, steepestStop } from './slope';

const at = (x: number, y: number, hole = 'h1') => standing('s1', [x, y], hole);
const rounded = (plan: GreenPlan, ball: Point, hole: Point = [0, 0]) => {
  const { distanceM, edgeM, greenM, clearM, shortSided } = lineOfPlay(plan, ball, hole);
  return [distanceM, edgeM, greenM, clearM, shortSided].map((one) => (typeof one === 'number' ? Math.round(one * 1e4) / 1e4 : one));
};

test('what a ball lies on: sand before green, green before fringe, fringe before areas, the last drawn on top', () => {
  const plan = green({
    areas: [
      { key: 'a1', kind: 'sand', outline: box(-2, -17, 4, 4) },
      { key: 'a2', kind: 'heavy_rough', outline: box(10, -10, 20, 20) },
      { key: 'a3', kind: 'fairway', outline: box(20, -10, 20, 20) },
      { key: 'a4', kind: 'sand', outline: box(-9, 5, 2, 2) },
    ],
  });
  const lies = (
    [
      [0, -15],
      [0, 0],
      [-8, 6],
      [10.8, 0],
      [15, 0],
      [25, 0],
      [0, 30],
      [-11, 0],
      [-11.01, 0],
    ] as Point[]
  ).map((p) => groundAt(plan, p));
  expect(lies).toEqual(['sand', 'green', 'sand', 'fringe', 'heavy_rough', 'fairway', 'light_rough', 'fringe', 'light_rough']);
});

test('figures along the line of play, worked out by hand', () => {
  const plan = green();
  // From 20 m below, over the bunker from 3 to 7 m: 7 m and the metre of margin.
  expect(rounded(plan, [0, -20])).toEqual([20, 10, 10, 8, false]);
  // From the right to B: 2 m of green of the 20 along the line.
  expect(rounded(plan, [20, 0], [8, 0])).toEqual([12, 10, 2, null, true]);
  // 6 m of green: more than 5.5, but under half of the way and under a third of the 20 m of green.
  expect(rounded(plan, [20, 0], [4, 0])).toEqual([16, 10, 6, null, true]);
  expect(rounded(plan, [20, 0], [3, 0])).toEqual([17, 10, 7, null, false]);
  expect(rounded(plan, [-5, 0])).toEqual([5, 0, 5, null, false]);
  // A long carry: a tenth of the way to the far side is more than a metre.
  const far = green({ areas: [{ key: 'a1', kind: 'sand', outline: box(-2, -30, 4, 15) }] });
  expect(lineOfPlay(far, [0, -40], [0, 0]).clearM).toBeCloseTo(27.5, 9);
  // Out of a bunker, that bunker is no obstacle.
  expect(rounded(plan, [0, -15])).toEqual([15, 5, 10, null, false]);
});

test('the edge is the last one before the hole, where the line leaves the green and comes back', () => {
  const horseshoe = green({
    outline: [
      [-10, -10],
      [10, -10],
      [10, 10],
      [4, 10],
      [4, -4],
      [-4, -4],
      [-4, 10],
      [-10, 10],
    ],
    holes: [{ key: 'h1', label: 'A', target: 'hole', at: [7, 5] }],
    areas: [],
  });
  expect(rounded(horseshoe, [-20, 5], [7, 5])).toEqual([27, 24, 3, null, true]);
  expect(oddStation(factsOf(horseshoe, at(-7, 5), 'imperial'), 'Station 1', 'imperial')).toEqual([
    'From Station 1 the line to the hole leaves the green: rare on a course.',
  ]);
});

test('a bunker beside the line is told from one on it, by six degrees', () => {
  const beside = (x: number) => green({ areas: [{ key: 'a1', kind: 'sand', outline: box(x, -17, 4, 4) }] });
  // The far corner of the box is 7 m away: tan 6° of that is 0.74 m.
  expect(lineOfPlay(beside(0.7), [0, -20], [0, 0])).toMatchObject({ bunkers: [], near: ['a1'], clearM: null });
  expect(lineOfPlay(beside(0.8), [0, -20], [0, 0])).toMatchObject({ bunkers: [], near: [] });
  expect(lineOfPlay(beside(-1), [0, -20], [0, 0])).toMatchObject({ bunkers: ['a1'], near: [] });
});

test('slope along and across: a fall by direction, and the same plane from measured heights', () => {
  const falls = green({ slope: { by: 'fall', towardsDeg: 180, percent: 2 } });
  const from = (plan: GreenPlan, ball: Point) => {
    const { uphill, leftUp } = lineOfPlay(plan, ball, [0, 0]);
    return [uphill, leftUp].map((one) => Math.round(one * 1e6) / 1e6 + 0);
  };
  expect([from(falls, [0, -20]), from(falls, [0, 20]), from(falls, [20, 0]), from(falls, [-20, 0])]).toEqual([
    [0.02, 0],
    [-0.02, 0],
    [0, -0.02],
    [0, 0.02],
  ]);
  const spots = (
    [
      [0, 0],
      [10, 0],
      [0, 10],
      [7, 3],
    ] as Point[]
  ).map((p) => ({ at: p, heightM: 1 + 0.01 * p[0] + 0.02 * p[1] }));
  const plane = planeThrough(spots)!;
  expect(plane.gradient[0]).toBeCloseTo(0.01, 9);
  expect(plane.gradient[1]).toBeCloseTo(0.02, 9);
  expect(plane.missM).toBeCloseTo(0, 9);
  expect(from(green({ slope: { by: 'spots', spots } }), [0, -20])).toEqual([0.02, -0.01]);
  // One height 4 cm off: the plane lies between, and the miss is said.
  const square = (
    [
      [0, 0],
      [10, 0],
      [10, 10],
      [0, 10],
    ] as Point[]
  ).map((p, i) => ({ at: p, heightM: i === 2 ? 0.04 : 0 }));
  expect(planeThrough(square)!.gradient.map((one) => Math.round(one * 1e6) / 1e6)).toEqual([0.002, 0.002]);
  expect(planeThrough(square)!.missM).toBeCloseTo(0.01, 9);
  expect(fallOf(gradientOf({ by: 'fall', towardsDeg: 225, percent: 3 }))).toEqual({
    towardsDeg: expect.closeTo(225, 6) as number,
    percent: expect.closeTo(3, 9) as number,
  });
});

test('heights that settle no plane are refused', () => {
  const line = [0, 1, 2, 3].map((i) => ({ at: [i, i] as Point, heightM: i / 50 }));
  expect(faultOfSpots(line.slice(0, 2))).toMatch('three measured heights');
  expect(faultOfSpots(line)).toMatch('in one line');
  expect(faultOfSpots([...line, { at: [0, 3], heightM: 3 }])).toMatch(/no green is steeper/);
  expect(gradientOf({ by: 'spots', spots: line })).toEqual([0, 0]);
});

test('a ball stops on a fall of up to 7.8% at a speed of 10 ft, and 6.5% at 12', () => {
  expect(Math.floor(steepestStop(10) * 1000)).toBe(78);
  expect(Math.floor(steepestStop(12) * 1000)).toBe(65);
});

test('a shot for the place, with the reason', () => {
  const plan = green();
  const says = (station: ReturnType<typeof at>, on = plan) => {
    const { suggested } = factsOf(on, station, 'imperial');
    return `${suggested.shotType}: ${suggested.reason}`;
  };
  expect(says(at(-5, 0))).toBe('putt: On the green.');
  expect(says(at(-10.5, 0))).toBe('fringe_putt: Short grass all the way: use the putter.');
  expect(says(at(0, -20))).toBe('pitch: Sand on the line: carry 9 yd.');
  expect(says(at(0, -20.5, 'h1'), green({ holes: [{ key: 'h1', label: 'A', target: 'hole', at: [0, -6] }] }))).toMatch(
    /^lob: Sand to carry, 9 yd, and only 4 yd of green/,
  );
  expect(says(at(20, 0, 'h2'))).toBe('lob: Only 2 yd of green: it has to stop.');
  expect(says({ ...at(20, 0, 'h2'), surface: 'bare' } as never)).toBe(
    'pitch: Only 2 yd of green: it has to stop; no lob from bare ground.',
  );
  expect(says(at(-13, 0))).toBe('chip: More roll than carry: carry 4 yd, run 10 yd.');
  expect(says({ ...at(-13, 0), surface: 'fairway', at: [-12.5, 0] } as never)).toBe(
    'bump_and_run: It can roll nearly all the way: carry 4 yd, run 10 yd.',
  );
  expect(says(at(-25, 0))).toBe('pitch: Carry at least as much as roll: carry 17 yd, run 10 yd.');
  expect(says(at(0, -15))).toBe('bunker: Out of sand, with 11 yd of green.');
});

test('the coach may overrule lie and shot; a shot that the lie does not allow gives way to the suggestion', () => {
  const plan = green();
  expect(factsOf(plan, { ...at(-25, 0), shotType: 'lob', surface: 'heavy_rough' }, 'imperial')).toMatchObject({
    shotType: 'lob',
    surface: 'heavy_rough',
    ground: 'light_rough',
  });
  expect(factsOf(plan, { ...at(0, -15), shotType: 'chip' }, 'imperial')).toMatchObject({ shotType: 'bunker' });
  expect(() => factsOf(plan, at(0, -15, 'none'), 'imperial')).toThrow(RangeError);
});

test('what is unlike a course is pointed out', () => {
  const plan = green({ stimpFt: 12, slope: { by: 'fall', towardsDeg: 90, percent: 7 } });
  expect(oddHole(plan, plan.holes[1]!, 'imperial')).toEqual([
    'Hole B is 6.6 ft from the edge: nearer than a flagstick. Courses hardly ever cut one there.',
    'At a speed of 12 ft a ball will not stop on a fall of 7.0%: no hole is cut on such a slope.',
  ]);
  expect(oddHole(green(), green().holes[0]!, 'metric')).toEqual([]);
  const odd = (station: GreenPlan['stations'][number], on = green()) =>
    oddStation(factsOf(on, station, 'imperial'), 'Station 1', 'imperial').join();
  expect(odd(at(-95, 0))).toMatch('104 yd from its hole: too far');
  expect(odd({ ...at(-20, 0), surface: 'sand' })).toMatch('where the plan has light rough');
  expect(odd({ ...at(-5, 0), surface: 'fringe' })).toMatch('where the plan has green');
  expect(odd(at(-10.5, 0), green({ holes: [{ key: 'h1', label: 'A', target: 'hole', at: [-9.5, 0] }] }))).toMatch('off the green: rare');
  expect(odd(at(-20, 0))).toBe('');
  expect(odd(at(-5, 0))).toBe('');
});

test('turning or mirroring the plan leaves every figure as it is', () => {
  const plan = green({ slope: { by: 'fall', towardsDeg: 40, percent: 2.5 } });
  const place = fc.tuple(fc.integer({ min: -30, max: 30 }), fc.integer({ min: -30, max: 30 }));
  fc.assert(
    fc.property(place, fc.constantFrom(0, 90, 180, 270, 33), fc.boolean(), (ball, deg, mirror) => {
      fc.pre(Math.hypot(...ball) > 1);
      const a = (deg * Math.PI) / 180;
      const by = ([x, y]: Point): Point => {
        const side = mirror ? -x : x;
        return [side * Math.cos(a) + y * Math.sin(a), -side * Math.sin(a) + y * Math.cos(a)];
      };
      const other: GreenPlan = {
        ...plan,
        outline: plan.outline.map(by),
        areas: plan.areas.map((area) => ({ ...area, outline: area.outline.map(by) })),
        slope: { by: 'fall', towardsDeg: ((((mirror ? -40 : 40) + deg) % 360) + 360) % 360, percent: 2.5 },
      };
      const [was, is] = [lineOfPlay(plan, ball, [0, 0]), lineOfPlay(other, by(ball), [0, 0])];
      for (const name of ['distanceM', 'edgeM', 'greenM', 'uphill'] as const) expect(is[name]).toBeCloseTo(was[name], 5);
      expect(is.leftUp).toBeCloseTo(mirror ? -was.leftUp : was.leftUp, 6);
      expect(is.shortSided).toBe(was.shortSided);
      expect(is.clearM === null).toBe(was.clearM === null);
    }),
  );
});

test('a plan that makes no sense is refused where it is wrong, in a sentence', () => {
  const wrong = (more: object) => {
    const parsed = greenPlanSchema.safeParse({ ...green(), ...more });
    return parsed.error?.issues.map((issue) => `${issue.path.join('.')}: ${issue.message}`).join() ?? 'nothing';
  };
  expect(wrong({ holes: [{ key: 'h1', label: 'A', at: [11, 0] }] })).toMatch('holes.0.at: Hole A lies off the green');
  expect(wrong({ holes: [...green().holes, { key: 'h3', label: 'A', at: [1, 1] }] })).toMatch('Two holes are called A.');
  expect(wrong({ stations: [standing('s1', [20, 0], 'h9')] })).toMatch('plays to no hole');
  expect(wrong({ stations: [standing('s1', [0.1, 0])] })).toMatch('stands on its hole');
  expect(wrong({ stations: [standing('s1', [20, 0], 'h1', { shotType: 'putt', surface: 'sand' })] })).toMatch(
    'A putt is not played from sand',
  );
  expect(wrong({ groups: [{ key: 'g1', label: '1', station: 's9', at: [0, 0], radiusM: 1, hands: 'right' }] })).toMatch(
    'stands at no station',
  );
  expect(
    wrong({
      areas: [
        {
          key: 'a1',
          kind: 'sand',
          outline: [
            [0, 0],
            [5, 5],
            [5, 0],
            [0, 5],
          ],
        },
      ],
    }),
  ).toMatch(/areas.0.outline: This outline/);
  expect(wrong({ fringeM: Number.NaN, stimpFt: 40 })).toMatch(/Enter the width.*3 to 16/);
  expect(wrong({ slope: { by: 'spots', spots: [] } })).toMatch('three measured heights');
});
