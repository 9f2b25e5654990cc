import { seededRandom } from '../math/random';
import { median } from '../math/median';
import { METRES_PER } from '../units/length';
import { yd } from '../testing/make';
import { referencePutting } from '../golf/putting';
import { shippedReference as reference } from '../golf/reference';
import { cellKey } from '../skill/cells';
import { simulateShot, type PlayerTruth } from './simulate';

const kind = { shotType: 'chip', surface: 'fairway', distanceM: yd(15) } as const;
const truth = (level: number, effects: PlayerTruth['effects'] = {}): PlayerTruth => ({ level, putting: referencePutting(level), effects });

function leftOf(player: PlayerTruth, balls = 8000) {
  const random = seededRandom(11);
  return Array.from({ length: balls }, () => simulateShot(player, kind, 0, reference, random));
}

test.each([0, 10, 24])('a player of level %d without effects leaves the level’s median, mishits included', (h) => {
  const level = reference.shot(h, 'chip', 'fairway', yd(15))!;
  const ratio = median(leftOf(truth(h), 20000).map((ball) => ball.leftM)) / (level.medianLeftFt * METRES_PER.ft);
  expect(ratio).toBeGreaterThan(0.98);
  expect(ratio).toBeLessThan(1.02);
});

test('an effect moves the logarithm of the median by itself', () => {
  const planted = { [cellKey('chip', 'fairway', yd(15))]: 0.5 };
  const moved = Math.log(median(leftOf(truth(0, planted)).map((b) => b.leftM)) / median(leftOf(truth(0)).map((b) => b.leftM)));
  expect(moved).toBeGreaterThan(0.45);
  expect(moved).toBeLessThan(0.55);
});

test('most balls finish short, some go in, and weaker levels mishit more', () => {
  const strong = leftOf(truth(0));
  const short = strong.filter((ball) => ball.bearingDeg > 90 && ball.bearingDeg < 270).length / strong.length;
  expect(short).toBeGreaterThan(0.52);
  expect(short).toBeLessThan(0.6);
  const holedShare = strong.filter((ball) => ball.holed).length / strong.length;
  expect(holedShare).toBeGreaterThan(0.001);
  expect(holedShare).toBeLessThan(0.03);
  const far = (level: number) => leftOf(truth(level)).filter((ball) => ball.leftM > yd(7)).length;
  expect(far(28)).toBeGreaterThan(3 * far(0));
});

test('a shot without a reference can’t be simulated, and says so', () => {
  const nowhere = { shotType: 'lob', surface: 'sand', distanceM: yd(5) } as const;
  expect(() => simulateShot(truth(0), nowhere, 0, reference, seededRandom(1))).toThrow('the reference has no lob from sand');
});
