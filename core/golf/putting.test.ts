import fc from 'fast-check';
import { seededRandom } from '../math/random';
import { ft } from '../testing/make';
import { expectedPutts, makeRate, referencePutting, type PuttingSkill } from './putting';
import { shippedReference } from './reference';
import { simulateShot } from '../made-up/simulate';

const strongest = referencePutting(0);

test('between levels both spreads are read on in their logarithms, and on beyond the last', () => {
  const [tour, scratch, between] = [-5, 0, -2.5].map(referencePutting) as [PuttingSkill, PuttingSkill, PuttingSkill];
  expect(between.angle).toBeCloseTo(Math.sqrt(tour.angle * scratch.angle), 12);
  expect(between.distance).toBeCloseTo(Math.sqrt(tour.distance * scratch.distance), 12);
  expect(referencePutting(-10).angle).toBeCloseTo(tour.angle ** 2 / scratch.angle, 12);
});

test('the make rate falls with the distance and with either spread', () => {
  const level = fc.double({ min: 0, max: 28, noNaN: true });
  fc.assert(
    fc.property(level, fc.double({ min: 0.5, max: 80, noNaN: true }), (h, feet) => {
      const skill = referencePutting(h);
      const rate = makeRate(skill, feet);
      expect(makeRate(skill, feet * 1.05)).toBeLessThanOrEqual(rate);
      expect(makeRate({ ...skill, angle: skill.angle * 1.1 }, feet)).toBeLessThanOrEqual(rate);
      expect(makeRate({ ...skill, distance: skill.distance * 1.1 }, feet)).toBeLessThanOrEqual(rate);
    }),
  );
});

test('expected putts rise with the distance and the level, from one putt upwards', () => {
  const [strong, weak] = [expectedPutts(strongest), expectedPutts(referencePutting(28))];
  let before = 1;
  for (let feet = 1; feet <= 100; feet += 1) {
    expect(strong(feet)).toBeGreaterThanOrEqual(before);
    expect(weak(feet)).toBeGreaterThanOrEqual(strong(feet));
    before = strong(feet);
  }
  expect(strong(0.05)).toBeCloseTo(1, 3);
});

test.each([5, 12, 33])('expected putts from %d ft are those of putts played out to the hole', (feet) => {
  const random = seededRandom(feet);
  const truth = { level: 10, putting: referencePutting(10), effects: {} };
  const games = 60_000;
  let putts = 0;
  for (let i = 0; i < games; i++) {
    for (let distanceM = ft(feet); ;) {
      putts++;
      const stopped = simulateShot(truth, { shotType: 'putt', surface: 'green', distanceM }, 0, shippedReference, random);
      if (stopped.holed) break;
      distanceM = stopped.leftM;
    }
  }
  // Three standard errors of 60,000 games are about 0.007.
  expect(Math.abs(putts / games - expectedPutts(truth.putting)(feet))).toBeLessThan(0.01);
});
