import fc from 'fast-check';
import { convolve, massOf, meanOf, ofOutcomes, repeated } from './convolution';

const outcomes = fc
  .array(fc.record({ value: fc.integer({ min: -3, max: 9 }), weight: fc.double({ min: 0.01, max: 1, noNaN: true }) }), {
    minLength: 1,
    maxLength: 6,
  })
  .map((list) => {
    const sum = list.reduce((total, { weight }) => total + weight, 0);
    return list.map(({ value, weight }) => ({ value, p: weight / sum }));
  });

test('the mass of a convolution is 1, and means add up', () => {
  fc.assert(
    fc.property(outcomes, outcomes, fc.integer({ min: 0, max: 60 }), (one, other, n) => {
      const [a, b] = [ofOutcomes(one), ofOutcomes(other)];
      expect(Math.abs(massOf(convolve(a, b)) - 1)).toBeLessThan(1e-13);
      expect(meanOf(convolve(a, b))).toBeCloseTo(meanOf(a) + meanOf(b), 10);
      const many = repeated(a, n);
      expect(Math.abs(massOf(many) - 1)).toBeLessThan(1e-12);
      expect(meanOf(many)).toBeCloseTo(n * meanOf(a), 8);
    }),
  );
});

test('two coins, and three dice of two faces, by hand', () => {
  const coin = ofOutcomes([
    { value: 0, p: 0.5 },
    { value: 1, p: 0.5 },
  ]);
  expect([...convolve(coin, coin).p]).toEqual([0.25, 0.5, 0.25]);
  const die = ofOutcomes([
    { value: -1, p: 0.25 },
    { value: 2, p: 0.75 },
  ]);
  // Each of the three is −1 or 2: the sum is −3, 0, 3 or 6.
  const three = repeated(die, 3);
  expect(three.from).toBe(-3);
  expect([three.p[0], three.p[3], three.p[6], three.p[9]]).toEqual([1 / 64, 9 / 64, 27 / 64, 27 / 64]);
  expect([...repeated(die, 0).p]).toEqual([1]);
  expect(() => ofOutcomes([{ value: 0.5, p: 1 }])).toThrow(RangeError);
});
