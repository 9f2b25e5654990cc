import fc from 'fast-check';
import { median } from './median';
import { normalCdf, normalQuantile } from './normal';
import { seededRandom } from './random';

test.each([
  [0, 0.5],
  [1, 0.8413447460685429],
  [-1.959963984540054, 0.025],
  [3, 0.9986501019683699],
  [-8, 6.220960574271786e-16],
])('the normal distribution function at %d', (z, p) => {
  expect(Math.abs(normalCdf(z) - p)).toBeLessThan(1e-14);
  // In the tail, where a difference says nothing, the ratio does.
  expect(normalCdf(z) / p).toBeCloseTo(1, 7);
});

test('its inverse leads back', () => {
  fc.assert(fc.property(fc.double({ min: 1e-12, max: 1 - 1e-12, noNaN: true }), (p) => Math.abs(normalCdf(normalQuantile(p)) - p) < 1e-10));
  expect(() => normalQuantile(0)).toThrow(RangeError);
});

test('a median may be Infinity, and of nothing there is none', () => {
  expect([median([3, 1, 2]), median([4, 1]), median([1, Infinity, Infinity])]).toEqual([2, 2.5, Infinity]);
  expect(() => median([])).toThrow(RangeError);
});

test('the same seed gives the same stream, with the spread it should have', () => {
  const [a, b] = [seededRandom(5), seededRandom(5)];
  const draws = Array.from({ length: 20_000 }, () => a.normal());
  expect(draws.slice(0, 100)).toEqual(Array.from({ length: 100 }, () => b.normal()));
  const mean = draws.reduce((sum, x) => sum + x, 0) / draws.length;
  const variance = draws.reduce((sum, x) => sum + (x - mean) ** 2, 0) / draws.length;
  expect(Math.abs(mean)).toBeLessThan(0.03);
  expect(Math.abs(variance - 1)).toBeLessThan(0.04);
  expect(() => seededRandom(1).pick([])).toThrow(RangeError);
});
