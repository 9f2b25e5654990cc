import { seededRandom } from '../math/random';
import { changeTold } from './told';

const random = seededRandom(5);
const standard = Array.from({ length: 400 }, () => random.normal());
const [m, sd] = [standard.reduce((a, b) => a + b) / 400, Math.sqrt(standard.reduce((a, b) => a + b * b, 0) / 400)];
/** Draws with just this mean and standard deviation, as those of one model: from the same random numbers. */
const draws = (mean: number, spread: number) => {
  const centred = standard.map((x) => x - m);
  const own = Math.sqrt(centred.reduce((a, b) => a + b * b, 0) / 399);
  return centred.map((x) => mean + (spread * x) / own);
};
/** What is believed after balls that alone say so much, of somebody of whom 0 ± .2 was believed. */
const after = (mean: number, spread: number) => {
  const precision = 1 / 0.2 ** 2 + 1 / spread ** 2;
  return draws(mean / spread ** 2 / precision, Math.sqrt(1 / precision));
};
const prior = draws(0, 0.2);

test('by hand: .3 ± .06 before and .15 ± .08 since, where it could be .2 either way', () => {
  expect(sd).toBeGreaterThan(0.9);
  const told = changeTold({ prior, before: after(0.3, 0.06), since: after(0.15, 0.08) })!;
  expect([told.before, told.since]).toEqual([expect.closeTo(0.3, 6), expect.closeTo(0.15, 6)]);
  // σ² = .0036 + .0064 = .01, τ² = .04: Φ(.15/.1·√(.04/.05)) = Φ(1.34164) = .91013.
  expect(told.chanceBetter).toBeCloseTo(0.91013, 4);
});

test('a weak shot with hardly a ball since is not better for it: what is usual of the level is no ball', () => {
  const few = changeTold({ prior, before: after(0.4, 0.05), since: after(0.4, 0.5) })!;
  expect(few.chanceBetter).toBeCloseTo(0.5, 6);
  // Read as they are, the draws would say that it got better.
  const [before, since] = [after(0.4, 0.05), after(0.4, 0.5)].map((values) => values.reduce((a, b) => a + b) / values.length);
  expect(before! - since!).toBeGreaterThan(0.25);
});

test('nothing is said where the balls say nothing; the other way round it is the other chance', () => {
  expect(changeTold({ prior, before: prior, since: after(0.1, 0.1) })).toBeNull();
  expect(changeTold({ prior, before: after(0.1, 0.1), since: prior })).toBeNull();
  const [a, b] = [after(0.3, 0.1), after(0.1, 0.1)];
  const sum = changeTold({ prior, before: a, since: b })!.chanceBetter + changeTold({ prior, before: b, since: a })!.chanceBetter;
  expect(sum).toBeCloseTo(1, 9);
});
