import fc from 'fast-check';
import { contains } from '../geometry/polygon';
import { distance, type Point } from '../geometry/point';
import { seededRandom } from '../math/random';
import { box, green } from '../testing/make-green';
import { groundAt } from './ground';
import { APART_M, scatter, SCATTER_BANDS, type Wish } from './scatter';
import { walkingOrder, walkLength } from './walk';

const wish = (more: Partial<Wish> = {}): Wish => ({
  count: 9,
  seed: 7,
  surfaces: { fringe: 1, light_rough: 2 },
  bands: [1, 1, 1, 0, 0],
  holes: { h1: 1, h2: 1 },
  ...more,
});
const spread = <T>(list: readonly T[]) =>
  list.reduce<Record<string, number>>((all, one) => ({ ...all, [String(one)]: (all[String(one)] ?? 0) + 1 }), {});
const bandOf = (metres: number) => SCATTER_BANDS.findIndex(({ fromM, toM }) => metres >= fromM && metres < toM);

test('the same seed gives the same stations, another seed others', () => {
  const once = scatter(green(), wish(), 'imperial');
  expect(scatter(green(), wish(), 'imperial')).toEqual(once);
  expect(scatter(green(), wish({ seed: 8 }), 'imperial')).not.toEqual(once);
});

test('the asked mix of lies, distances and holes is met to the ball, or what is missing is said', () => {
  const holeAt = (key: string) => green().holes.find((hole) => hole.key === key)!.at;
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 1e6 }),
      fc.integer({ min: 1, max: 12 }),
      fc.record({
        fringe: fc.integer({ min: 0, max: 2 }),
        light_rough: fc.integer({ min: 1, max: 3 }),
        sand: fc.integer({ min: 0, max: 1 }),
      }),
      fc.tuple(
        fc.integer({ min: 0, max: 2 }),
        fc.integer({ min: 1, max: 3 }),
        fc.integer({ min: 0, max: 2 }),
        fc.constant(0),
        fc.constant(0),
      ),
      (seed, count, surfaces, bands) => {
        const asked = wish({ seed, count, surfaces, bands });
        const { stations, shortfall } = scatter(green(), asked, 'imperial');
        const lies = spread(stations.map((one) => one.surface));
        const far = spread(stations.map((one) => bandOf(distance(one.at, holeAt(one.hole)))));
        const total = Object.values(surfaces).reduce((a, b) => a + b);
        const bandsTotal = bands.reduce((a, b) => a + b);
        if (shortfall.length === 0) {
          expect(stations).toHaveLength(count);
          for (const [name, weight] of Object.entries(surfaces))
            expect(Math.abs((lies[name] ?? 0) - (count * weight) / total)).toBeLessThan(1);
          bands.forEach((weight, i) => expect(Math.abs((far[i] ?? 0) - (count * weight) / bandsTotal)).toBeLessThan(1));
        } else {
          // What is said is true.
          for (const line of shortfall) {
            const [, got, lie] = /^(\d+) of \d+ from (fringe|light rough|sand)$/.exec(line) ?? [];
            if (lie) expect(lies[lie.replace(' ', '_')] ?? 0).toBe(Number(got));
          }
        }
        // Only what was asked, and nobody on top of another.
        for (const { at, surface } of stations) {
          expect(groundAt(green(), at)).toBe(surface);
          expect(surfaces[surface as 'sand']).toBeGreaterThan(0);
        }
        stations.forEach((a, i) => stations.slice(i + 1).forEach((b) => expect(distance(a.at, b.at)).toBeGreaterThanOrEqual(APART_M)));
      },
    ),
    { numRuns: 12 },
  );
}, 60_000);

test('an easy wish is met in full: nine of nine', () => {
  for (let seed = 1; seed <= 3; seed++)
    expect(scatter(green(), wish({ seed }), 'imperial')).toMatchObject({ shortfall: [], stations: { length: 9 } });
  expect(scatter(green(), wish({ count: 3, surfaces: { sand: 1 }, bands: [0, 1, 0, 0, 0], holes: { h1: 1 } }), 'imperial')).toMatchObject({
    shortfall: [],
  });
});

test('no station stands in a bunker unless sand was asked for', () => {
  const sandy = green({
    areas: [
      { key: 'a1', kind: 'sand', outline: box(-30, -30, 60, 18) },
      { key: 'a2', kind: 'sand', outline: box(12, -12, 9, 40) },
    ],
  });
  for (let seed = 1; seed <= 4; seed++)
    for (const { at } of scatter(sandy, wish({ seed }), 'imperial').stations)
      expect(sandy.areas.some((area) => contains(area.outline, at))).toBe(false);
});

test('what the place does not have is said', () => {
  expect(scatter(green({ areas: [] }), wish({ count: 4, surfaces: { sand: 1, light_rough: 1 } }), 'imperial').shortfall.join()).toMatch(
    '0 of 2 from sand',
  );
  const nowhere = scatter(green(), wish({ bands: [0, 0, 0, 0, 0] }), 'imperial');
  expect(nowhere.stations).toEqual([]);
  expect(nowhere.shortfall.toSorted()).toEqual([
    '0 of 3 from fringe',
    '0 of 4 to hole B',
    '0 of 5 to hole A',
    '0 of 6 from light rough',
    '0 of 9 stations',
  ]);
  // A bunker of 2 by 2 m holds no five stations that are 2 m apart.
  const small = green({ areas: [{ key: 'a1', kind: 'sand', outline: box(13, 0, 2, 2) }] });
  const { stations, shortfall } = scatter(small, wish({ count: 5, surfaces: { sand: 1 }, bands: [1, 1, 0, 0, 0] }), 'metric');
  expect(stations.length).toBeLessThan(5);
  expect(shortfall[0]).toBe(`${stations.length} of 5 stations`);
});

/** The shortest walk through some places, by trying every order. */
function bruteForce(places: readonly Point[]): number {
  let best = Infinity;
  const go = (order: number[], left: number[], metres: number) => {
    if (metres >= best) return;
    if (left.length === 0) best = metres;
    for (const next of left)
      go(
        [...order, next],
        left.filter((one) => one !== next),
        metres + (order.length ? distance(places[order.at(-1)!]!, places[next]!) : 0),
      );
  };
  go(
    [],
    places.map((_, i) => i),
    0,
  );
  return best;
}

test('the walk is the shortest for eight stations, by brute force, and visits each once', () => {
  const random = seededRandom(3);
  for (let n = 0; n < 6; n++) {
    const places = Array.from({ length: 8 }, (): Point => [random.uniform() * 40, random.uniform() * 40]);
    const order = walkingOrder(places);
    expect(order.toSorted((a, b) => a - b)).toEqual([0, 1, 2, 3, 4, 5, 6, 7]);
    expect(walkLength(places, order)).toBeCloseTo(bruteForce(places), 9);
  }
  const scattered = scatter(green(), wish({ count: 8 }), 'imperial').stations.map((one) => one.at);
  expect(walkLength(scattered, [0, 1, 2, 3, 4, 5, 6, 7])).toBeLessThanOrEqual(bruteForce(scattered) * 1.1);
});

test('a long walk is close to the shortest: round a circle it is the circle', () => {
  const circle = Array.from({ length: 24 }, (_, i): Point => [
    20 * Math.cos((i * 7 * Math.PI) / 12),
    20 * Math.sin((i * 7 * Math.PI) / 12),
  ]);
  const side = 2 * 20 * Math.sin(Math.PI / 24);
  expect(walkLength(circle, walkingOrder(circle))).toBeCloseTo(23 * side, 6);
  expect([
    walkingOrder([]),
    walkingOrder([[0, 0]]),
    walkingOrder([
      [5, 0],
      [0, 0],
    ]),
  ]).toEqual([[], [0], [1, 0]]);
});
