import { seededRandom, storedOrders } from './random';

const meanOf = (list: readonly number[]) => list.reduce((sum, value) => sum + value, 0) / list.length;

it('gives the same stream for the same seed', () => {
  const [one, other] = [seededRandom(7), seededRandom(7)];
  for (let n = 0; n < 20; n++) expect(one.uniform()).toBe(other.uniform());
});

it.each([
  ['one apart', 1],
  ['seven apart', 7],
  ['a prime apart', 100_003],
])('gives seeds that lie %s streams that are nothing alike, from the first number on', (_, apart) => {
  const SEEDS = 2000;
  const streams = Array.from({ length: SEEDS }, (_, i) => {
    const random = seededRandom(41 + apart * i);
    return Array.from({ length: 4 }, () => random.uniform());
  });
  for (let at = 0; at < 4; at++) {
    const list = streams.map((stream) => stream[at]!);
    // Uniform: mean ½ and SD √(1/12), each within five standard errors; and one seed says nothing of the next.
    expect(Math.abs(meanOf(list) - 0.5)).toBeLessThan(5 * Math.sqrt(1 / 12 / SEEDS));
    expect(Math.abs(Math.sqrt(meanOf(list.map((value) => (value - 0.5) ** 2))) - Math.sqrt(1 / 12))).toBeLessThan(0.02);
    const along = meanOf(list.slice(1).map((value, i) => (value - 0.5) * (list[i]! - 0.5))) * 12;
    expect(Math.abs(along)).toBeLessThan(5 / Math.sqrt(SEEDS));
  }
});

it('spreads normal numbers as normal numbers are, over seeds', () => {
  const list = Array.from({ length: 4000 }, (_, seed) => seededRandom(seed).normal());
  expect(Math.abs(meanOf(list))).toBeLessThan(5 / Math.sqrt(4000));
  expect(Math.abs(meanOf(list.map((value) => value * value)) - 1)).toBeLessThan(5 * Math.sqrt(2 / 4000));
});

it('keeps the stream in which stored sessions were ordered', () => {
  const random = storedOrders(2_166_136_261);
  expect(Array.from({ length: 8 }, () => random.below(1000))).toEqual([495, 10, 869, 698, 142, 615, 144, 538]);
});
