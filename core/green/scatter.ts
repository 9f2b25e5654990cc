import { boxOf, toEdge } from '../geometry/polygon';
import { distance, snapPoint, type Point } from '../geometry/point';
import { shareOut } from '../math/share-out';
import { seededRandom, type Random } from '../math/random';
import { say, type Surface } from '../golf/words';
import { fromMetres, toMetres, type UnitSystem } from '../units/length';
import { groundAt } from './ground';
import type { GreenPlan, Hole } from './plan';
import { walkingOrder } from './walk';

/** The distances from which stations can be asked, half-open, in metres. */
export const SCATTER_BANDS: readonly { fromM: number; toM: number }[] = [0, 10, 20, 30, 50].map((yd, i, all) => ({
  fromM: toMetres(yd, 'yd'),
  toM: toMetres(all[i + 1] ?? 75, 'yd'),
}));

/** Stations never stand nearer to each other than this, nor to a hole. */
export const APART_M = 2;

export type Wish = {
  count: number;
  seed: number;
  /** How much of each lie, as weights; a lie that is not named is not used. */
  surfaces: Partial<Record<Surface, number>>;
  /** How much of each of `SCATTER_BANDS`, as weights. */
  bands: readonly number[];
  /** How much of each hole, by key, as weights. */
  holes: Readonly<Record<string, number>>;
};

export type Scattered = { stations: { at: Point; hole: string; surface: Surface }[]; shortfall: string[] };

type ScatterPlace = { at: Point; hole: string; surface: Surface; band: number };
/** How many are still wanted of each lie, distance and hole. */
type Quota = { surface: Map<string, number>; band: Map<string, number>; hole: Map<string, number> };

const CANDIDATES = 2400;
const TRIES = 16;
const FACETS = ['surface', 'band', 'hole'] as const;

/**
 * Random stations round a green: as many as asked, of the asked mix of lies, distances and holes (each to the nearest
 * whole station), spread out, in a short walking order. The same seed gives the same stations.
 * @param taken where stations stand already: none of the new ones comes near
 * @returns what could be found, and a sentence for each part of the mix that could not
 */
export function scatter(
  plan: Pick<GreenPlan, 'outline' | 'fringeM' | 'areas' | 'around' | 'holes'>,
  wish: Wish,
  system: UnitSystem,
  taken: readonly Point[] = [],
): Scattered {
  const random = seededRandom(wish.seed);
  const places = candidates(plan, wish, random).filter(({ at }) => taken.every((other) => distance(other, at) >= APART_M));
  const asked = quotaOf(wish);
  const { seen, wanted } = seenAs(places, asked);
  let best: ScatterPlace[] = [];
  let bestWorth = -Infinity;
  for (let i = 0; i < TRIES; i++) {
    const chosen = choose(seen, wanted, wish.count, random);
    // First as many as asked, then the mix, then how far apart.
    const worth = chosen.length * 1e6 - missing(asked, chosen) * 1e3 + Math.min(100, leastApart(chosen));
    if (worth > bestWorth) [best, bestWorth] = [chosen, worth];
  }
  const order = walkingOrder(best.map((place) => place.at));
  return {
    stations: order.map((i) => best[i]!).map(({ at, hole, surface }) => ({ at, hole, surface })),
    shortfall: sayShortfall(asked, best, wish.count, plan.holes, system),
  };
}

/** Random places for each hole, on lies and at distances that are wanted. */
function candidates(plan: Parameters<typeof scatter>[0], wish: Wish, random: Random): ScatterPlace[] {
  const holes = plan.holes.filter((hole) => (wish.holes[hole.key] ?? 0) > 0);
  const most = Math.max(0, ...SCATTER_BANDS.map((band, i) => ((wish.bands[i] ?? 0) > 0 ? band.toM : 0)));
  if (holes.length === 0 || most === 0) return [];
  const { min, max } = boxOf(plan.outline);
  // Half of them near the green, where most short shots come from, half anywhere in reach.
  const roomM = Math.min(most, 12);
  const found: ScatterPlace[] = [];
  for (let i = 0; i < CANDIDATES; i++) {
    const hole = random.pick(holes);
    const at: Point = snapPoint(
      i % 2 === 0
        ? [
            min[0] - roomM + random.uniform() * (max[0] - min[0] + 2 * roomM),
            min[1] - roomM + random.uniform() * (max[1] - min[1] + 2 * roomM),
          ]
        : [hole.at[0] + (random.uniform() * 2 - 1) * most, hole.at[1] + (random.uniform() * 2 - 1) * most],
    );
    add(at, hole);
  }
  // Small areas would hardly ever be met by chance: each gets places of its own.
  for (const area of plan.areas) {
    const box = boxOf(area.outline);
    for (let i = 0; i < 60; i++)
      add(
        snapPoint([box.min[0] + random.uniform() * (box.max[0] - box.min[0]), box.min[1] + random.uniform() * (box.max[1] - box.min[1])]),
        random.pick(holes),
      );
  }
  return found;

  function add(at: Point, hole: Hole) {
    const d = distance(at, hole.at);
    const band = SCATTER_BANDS.findIndex(({ fromM, toM }, n) => d >= fromM && d < toM && (wish.bands[n] ?? 0) > 0);
    const surface = groundAt(plan, at);
    if (band < 0 || !((wish.surfaces[surface] ?? 0) > 0)) return;
    if (plan.holes.some((other) => distance(other.at, at) < APART_M)) return;
    // A ball right on the edge of two lies is neither.
    if (surface !== 'green' && toEdge(plan.outline, at) < 0.3) return;
    found.push({ at, hole: hole.key, surface, band });
  }
}

function quotaOf({ count, surfaces, bands, holes }: Wish): Quota {
  const share = (weights: readonly (readonly [string, number])[]) => {
    const wanted = weights.filter(([, weight]) => weight > 0);
    const counts =
      wanted.length === 0
        ? []
        : shareOut(
            wanted.map(([, weight]) => weight),
            count,
          );
    return new Map(wanted.map(([name], i) => [name, counts[i]!]));
  };
  return {
    surface: share(Object.entries(surfaces)),
    band: share(bands.map((weight, i) => [String(i), weight] as const)),
    hole: share(Object.entries(holes)),
  };
}

const value = (place: ScatterPlace, facet: (typeof FACETS)[number]) => String(place[facet]);

/** A place as the choosing sees it: for each facet the number of its value, and how rare these values are together. */
type Seen = { place: ScatterPlace; of: number[]; rarity: number[] };

/** The places with their values as numbers, and how many are wanted of each value. */
function seenAs(places: readonly ScatterPlace[], asked: Quota): { seen: Seen[]; wanted: number[][] } {
  const names = FACETS.map((facet) => [...asked[facet].keys()]);
  const common = names.map((list) => list.map(() => 0));
  const numbers = places.map((place) => FACETS.map((facet, f) => names[f]!.indexOf(value(place, facet))));
  for (const of of numbers) of.forEach((n, f) => (common[f]![n]! += 1));
  const rarity = numbers.map((of) => of.map((n, f) => 300 / (common[f]![n]! + 20)));
  return {
    seen: places.map((place, i) => ({ place, of: numbers[i]!, rarity: rarity[i]! })),
    wanted: FACETS.map((facet, f) => names[f]!.map((name) => asked[facet].get(name)!)),
  };
}

/** Stations one after another: first what is still wanted and rarest, then what lies farthest from the others. */
function choose(seen: readonly Seen[], wanted: readonly (readonly number[])[], count: number, random: Random): ScatterPlace[] {
  const left = wanted.map((list) => [...list]);
  const apart = new Float64Array(seen.length).fill(60);
  const chosen: ScatterPlace[] = [];
  while (chosen.length < count) {
    let next = -1;
    let nextWorth = -Infinity;
    for (let i = 0; i < seen.length; i++) {
      if (apart[i]! < APART_M) continue;
      const { of, rarity } = seen[i]!;
      let worth = Math.min(apart[i]!, 40) * (0.75 + 0.5 * random.uniform());
      for (let f = 0; f < of.length; f++) {
        const open = left[f]![of[f]!]!;
        // What nobody wants any more costs more than any distance; what is rare goes first.
        worth += open <= 0 ? -10_000 : open * rarity[f]!;
      }
      if (worth > nextWorth) [next, nextWorth] = [i, worth];
    }
    if (next < 0) break;
    const { place, of } = seen[next]!;
    chosen.push(place);
    of.forEach((n, f) => (left[f]![n]! -= 1));
    for (let i = 0; i < seen.length; i++) apart[i] = Math.min(apart[i]!, distance(place.at, seen[i]!.place.at));
  }
  return chosen;
}

function got(chosen: readonly ScatterPlace[], facet: (typeof FACETS)[number], name: string): number {
  return chosen.filter((place) => value(place, facet) === name).length;
}

/** How many stations are missing from the asked mix, over all three facets. */
function missing(asked: Quota, chosen: readonly ScatterPlace[]): number {
  return FACETS.reduce(
    (sum, facet) => sum + [...asked[facet]].reduce((part, [name, wanted]) => part + Math.max(0, wanted - got(chosen, facet, name)), 0),
    0,
  );
}

function leastApart(chosen: readonly ScatterPlace[]): number {
  let least = Infinity;
  chosen.forEach((a, i) => chosen.slice(i + 1).forEach((b) => (least = Math.min(least, distance(a.at, b.at)))));
  return least;
}

function sayShortfall(asked: Quota, chosen: readonly ScatterPlace[], count: number, holes: readonly Hole[], system: UnitSystem): string[] {
  const unit = system === 'metric' ? 'm' : 'yd';
  const words = {
    surface: (name: string) => `from ${say(name)}`,
    band: (name: string) => {
      const { fromM, toM } = SCATTER_BANDS[Number(name)]!;
      return `from ${Math.round(fromMetres(fromM, unit))} to ${Math.round(fromMetres(toM, unit))} ${unit}`;
    },
    hole: (name: string) => `to hole ${holes.find((hole) => hole.key === name)?.label ?? name}`,
  };
  const said = FACETS.flatMap((facet) =>
    [...asked[facet]].flatMap(([name, wanted]) => {
      const n = got(chosen, facet, name);
      return n < wanted ? [`${n} of ${wanted} ${words[facet](name)}`] : [];
    }),
  );
  const few = chosen.length < count ? [`${chosen.length} of ${count} stations`] : [];
  return [...few, ...said];
}
