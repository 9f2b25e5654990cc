import fc from 'fast-check';
import { seededRandom } from '../math/random';
import {
  allInside,
  ANYWHERE,
  anywhereAt,
  anywhereInside,
  anywhereMoment,
  centreOf,
  insideAt,
  insideShare,
  logAt,
  momentOf,
  blunted,
  steepness,
  STEEPNESS,
  STOPS,
  stopsOf,
  zOf,
} from './shape';

test('half of the balls that came off stop inside the median, and of a t with ten degrees of freedom the textbook share inside any distance', () => {
  expect(insideShare(0)).toBeCloseTo(0.5, 12);
  // In a plane the share inside r scales is 1 − (1 + r²/10)^−5: with r = 2, 1 − 1.4^−5 = .81406.
  const q = 2 ** 0.2 - 1;
  expect(insideShare(Math.log(0.4 / q))).toBeCloseTo(1 - 1.4 ** -5, 12);
});

test('a share and its place are each other’s inverse, with slopes that are those of the share', () => {
  fc.assert(
    fc.property(fc.double({ min: -14, max: 6, noNaN: true }), (z) => {
      const { share, slope, bend } = insideAt(z);
      expect(share).toBeCloseTo(insideShare(z), 12);
      if (share > 1e-6 && share < 1 - 1e-9) expect(zOf(share)).toBeCloseTo(z, 4);
      const H = 1e-4;
      expect(slope).toBeCloseTo((insideShare(z + H) - insideShare(z - H)) / (2 * H), 6);
      expect(bend).toBeCloseTo((insideAt(z + H).slope - insideAt(z - H).slope) / (2 * H), 6);
    }),
  );
  expect([insideAt(-Infinity).share, insideAt(Infinity).share]).toEqual([0, 1]);
});

test('near the hole the chance is a power of the distance: half as far, a quarter of the balls', () => {
  expect(insideShare(-12 - Math.log(4)) / insideShare(-12)).toBeCloseTo(0.25, 4);
});

test('balls that end anywhere scale with the shot, and their places and shares agree', () => {
  fc.assert(
    fc.property(fc.double({ min: 0.001, max: 0.999, noNaN: true }), fc.double({ min: 1, max: 90, noNaN: true }), (share, metres) => {
      expect(anywhereInside(anywhereAt(share, metres), metres)).toBeCloseTo(share, 9);
      expect(anywhereAt(share, 2 * metres)).toBeCloseTo(2 * anywhereAt(share, metres), 9);
    }),
  );
  expect([anywhereInside(0, 10), anywhereInside(Infinity, 10)]).toEqual([0, 1]);
});

test('the means are those of many balls', () => {
  const random = seededRandom(2);
  const BALLS = 200_000;
  const mean = (of: () => number) => Array.from({ length: BALLS }, of).reduce((a, b) => a + b, 0) / BALLS;
  for (const power of [1, 2]) {
    const came = mean(() => Math.exp(zOf(random.uniform()) / STEEPNESS) ** power);
    expect(came / momentOf(power, STEEPNESS)).toBeCloseTo(1, 1);
    const anywhere = mean(() => anywhereAt(random.uniform(), 1) ** power);
    expect(anywhere / anywhereMoment(power)).toBeCloseTo(1, 1);
  }
});

test('the middle of all balls is what a level leaves, and as many stop under a distance as were asked for', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0.5, max: 10, noNaN: true }),
      fc.double({ min: 12, max: 90, noNaN: true }),
      fc.double({ min: 1e-4, max: 0.4, noNaN: true }),
      (medianM, distanceM, rate) => {
        const mu = centreOf(medianM, distanceM);
        const inside = (metres: number) => allInside(STEEPNESS * (Math.log(metres) - mu), anywhereInside(metres, distanceM));
        expect(inside(medianM)).toBeCloseTo(0.5, 9);
        expect(inside(Math.exp(logAt(rate, mu, distanceM)))).toBeCloseTo(rate, 9);
      },
    ),
  );
});

test('who spreads wider is less steep; a rough measure makes anybody less steep, a tape hardly', () => {
  expect(steepness(0)).toBe(STEEPNESS);
  expect(steepness(0.2)).toBeCloseTo(STEEPNESS * Math.exp(-0.2), 12);
  expect(blunted(STEEPNESS, 0)).toBe(1);
  expect(Math.sqrt(blunted(STEEPNESS, 0.02))).toBeGreaterThan(0.999);
  expect(Math.sqrt(blunted(STEEPNESS, 0.2))).toBeLessThan(0.97);
});

test('the places of a simulation are those of the shape: as many inside any distance, within what a place is wide', () => {
  const { stops, anywhere } = stopsOf(0.1);
  expect(anywhere / STOPS).toBeCloseTo(ANYWHERE, 3);
  const others = Array.from(stops.subarray(anywhere));
  for (const metres of [0.1, 0.5, 1, 2, 4]) {
    const share = others.filter((stop) => stop <= metres).length / others.length;
    expect(Math.abs(share - insideShare(steepness(0.1) * Math.log(metres)))).toBeLessThan(1.5 / others.length);
  }
});
