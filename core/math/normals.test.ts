import { normalCdf } from './normal';
import { Normals } from './normals';
import { swiftExp } from './swift-exp';

test('normal numbers have the moments and the tails of the standard normal, the same for the same seed', () => {
  const random = new Normals(7);
  const N = 400_000;
  const list = Float64Array.from({ length: N }, () => random.normal());
  const mean = (of: (z: number) => number) => list.reduce((sum, z) => sum + of(z), 0) / N;
  expect(mean((z) => z)).toBeCloseTo(0, 2);
  expect(mean((z) => z * z)).toBeCloseTo(1, 2);
  expect(mean((z) => z ** 4)).toBeCloseTo(3, 1);
  for (const at of [-2.5, -1, 0, 0.5, 2])
    // Five standard errors.
    expect(Math.abs(mean((z) => (z <= at ? 1 : 0)) - normalCdf(at))).toBeLessThan(5 * Math.sqrt(0.25 / N));
  // Neighbours know nothing of each other, though one number drawn gives two.
  expect(Math.abs(list.reduce((sum, z, i) => sum + z * (list[i + 1] ?? 0), 0) / N)).toBeLessThan(5 / Math.sqrt(N));
  const again = new Normals(7);
  expect(Array.from({ length: 5 }, () => again.normal())).toEqual([...list.slice(0, 5)]);
  expect([random.taken, again.taken, new Normals(1).taken]).toEqual([N, 5, 0]);
  const other = new Normals(8);
  expect(other.normal()).not.toBe(list[0]);
});

test('the swift exponential is within 1e-5 of it as a share, and exact where its table ends', () => {
  for (let x = -7; x < 7; x += 0.00137) expect(Math.abs(swiftExp(x) / Math.exp(x) - 1)).toBeLessThan(1e-5);
  expect([swiftExp(-9), swiftExp(9), swiftExp(-Infinity)]).toEqual([Math.exp(-9), Math.exp(9), 0]);
});
