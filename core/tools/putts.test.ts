import { METRES_PER } from '../units/length';
import { expectedPutts, makeRate, referencePutting } from '../golf/putting';
import { seededRandom } from '../math/random';
import { evenGreen, rollPutt } from '../physics/putt';
import { aimPast, USUAL_FRINGE_SHARE } from './fringe';
import { PACES, pathOf, planPutt } from './putt-line';
import { puttOdds } from './putt-odds';
import { rungDistances, rungsSchema } from './rungs';

const ft = (feet: number) => feet * METRES_PER.ft;
const [dying, usual, firm] = PACES.map(({ pastM }) => pastM) as [number, number, number];

test('on the level somebody holes what the putting model says, within 4 points', () => {
  for (const level of [-5, 0, 18])
    for (const feet of [3, 5, 8, 10, 15, 20, 30]) {
      const skill = referencePutting(level);
      expect(Math.abs(planPutt(ft(feet), usual, evenGreen(10), skill)!.makes - makeRate(skill, feet))).toBeLessThan(0.04);
    }
});

test('how often it drops is how often drawn putts drop', () => {
  const [ground, skill, distanceM] = [evenGreen(10, 0.02, -0.01), referencePutting(8), ft(9)];
  const plan = planPutt(distanceM, usual, ground, skill)!;
  const random = seededRandom(11);
  let holed = 0;
  const BALLS = 4000;
  for (let n = 0; n < BALLS; n++) {
    const speed = plan.speed * Math.sqrt(Math.max(0, 1 + skill.distance * random.normal()));
    if (rollPutt(distanceM, speed, plan.aimRad + skill.angle * random.normal(), ground).holed) holed++;
  }
  expect(Math.abs(holed / BALLS - plan.makes)).toBeLessThan(0.025);
});

test('firm takes break out and narrows the window; dying leaves it by the hole', () => {
  const ground = evenGreen(10, 0.02, 0);
  const [slow, one, hard] = [dying, usual, firm].map((pastM) => planPutt(ft(10), pastM, ground, referencePutting(10))!);
  expect(slow!.asideM).toBeGreaterThan(one!.asideM);
  expect(one!.asideM).toBeGreaterThan(hard!.asideM);
  const wide = ({ window }: NonNullable<typeof slow>) => window.toM - window.fromM;
  expect(wide(slow!)).toBeGreaterThan(wide(hard!));
  expect(slow!.missedPastM!).toBeLessThan(0.25);
  expect(hard!.missedPastM!).toBeCloseTo(ft(3), 0);
});

test('missed downhill it rolls on for longer than uphill, for the same error of speed', () => {
  const over = (ahead: number) => {
    const ground = evenGreen(10, 0, ahead);
    const plan = planPutt(ft(10), usual, ground, referencePutting(10))!;
    return rollPutt(ft(10), plan.speed + 0.1, 0, ground, false).stops![1] - ft(11);
  };
  expect(over(-0.03)).toBeGreaterThan(over(0.03));
});

test('its way begins at the ball and ends in the hole', () => {
  const ground = evenGreen(9, -0.02, 0.01);
  const plan = planPutt(ft(12), usual, ground, referencePutting(10))!;
  const path = pathOf(ft(12), plan, ground);
  expect(path[0]).toEqual([0, 0]);
  expect(path.at(-1)).toEqual([0, ft(12)]);
  // It falls to the left: aimed to the left of nothing, it swings to the right of the line on no step of its way.
  expect(path.every(([right]) => right <= 1e-6)).toBe(true);
});

test('where no line is reliable none is given', () => {
  expect(planPutt(ft(10), usual, evenGreen(12, 0, -0.08), referencePutting(0))).toBeNull();
});

test('made, in two, in three or more: all putts, and about what they take', () => {
  for (const feet of [3, 10, 25, 50]) {
    const skill = referencePutting(18);
    const { makes, two, three, putts } = puttOdds(skill, feet);
    expect(makes + two + three).toBeCloseTo(1, 6);
    expect(putts).toBeCloseTo(expectedPutts(skill)(feet), 9);
    // Hardly anybody needs four.
    expect(putts).toBeGreaterThan(makes + 2 * two + 3 * three - 0.01);
    expect(putts).toBeLessThan(makes + 2 * two + 3 * three + 0.06);
  }
});

describe('from the fringe', () => {
  test('on the level half of the fringe is added: it slows a ball one and a half times as much', () => {
    expect(aimPast({ fringeM: 2, greenM: 6, slope: 0, stimpFt: 10 }, USUAL_FRINGE_SHARE)).toEqual({
      byModel: expect.closeTo(1, 9) as number,
      byRule: 1,
    });
  });
  test('uphill less, downhill more: what the green itself takes counts as well', () => {
    const past = (slope: number) => aimPast({ fringeM: 2, greenM: 6, slope, stimpFt: 10 }, 0.5).byModel!;
    // (1.5 − 1)·0.54937·2 ÷ (0.54937 + 0.14008) = 0.797.
    expect(past(0.02)).toBeCloseTo(0.797, 2);
    expect(past(-0.02)).toBeGreaterThan(1);
  });
  test('where no ball stops there is no such hole', () => {
    expect(aimPast({ fringeM: 2, greenM: 6, slope: -0.08, stimpFt: 11 }, 0.5).byModel).toBeNull();
  });
});

describe('rungs along one line', () => {
  const rungs = { firstM: 0.9, stepM: 0.9, rungs: 4, unit: 'putter', slope: null, breaks: 'left_to_right' } as const;
  test('each is so much farther than the one before', () => {
    expect(rungDistances(rungsSchema.parse(rungs))).toEqual([0.9, 1.8, 2.7, 3.6]);
  });
  test('too many for a green are refused beside their number', () => {
    expect(rungsSchema.safeParse({ ...rungs, stepM: 5, rungs: 12 }).error?.issues[0]).toMatchObject({ path: ['rungs'] });
  });
});
