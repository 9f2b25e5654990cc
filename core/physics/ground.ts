import type { Surface } from '../golf/words';
import { slowing } from './ball';

/** How soft the ground is under a landing ball. */
export type Firmness = 'soft' | 'medium' | 'firm';

/** How turf differs from a medium green: its bounce, how far it gives way, how much slower a ball rolls on it. Judgements, but for the green's. */
type Turf = { bounce: number; give: number; slow: number };
const TURF: Readonly<Record<Exclude<Surface, 'sand'>, Turf>> = {
  green: { bounce: 1, give: 1, slow: 1 },
  fringe: { bounce: 0.85, give: 1.2, slow: 1.5 },
  fairway: { bounce: 0.8, give: 1.3, slow: 2 },
  light_rough: { bounce: 0.6, give: 1.5, slow: 10 },
  heavy_rough: { bounce: 0.35, give: 1.6, slow: 25 },
  bare: { bounce: 1.1, give: 0.8, slow: 1.5 },
};
const FIRM: Readonly<Record<Firmness, Pick<Turf, 'bounce' | 'give'>>> = {
  soft: { bounce: 0.85, give: 1.35 },
  medium: { bounce: 1, give: 1 },
  firm: { bounce: 1.12, give: 0.7 },
};

/** A stretch of ground along the line of play, up to a distance from the ball; the last reaches for ever. */
export type Stretch = {
  toM: number;
  surface: Surface;
  /** Rise over run along the line. */
  slope: number;
  /** Rise over run across it: positive where the right lies higher. */
  side?: number;
};

/** What lies along the line of play from the ball, and how the day has it. */
export type Ground = { stretches: readonly Stretch[]; stimpFt: number; firmness: Firmness };

/** The ground as a ball meets it at one distance. */
export type Patch = { surface: Surface; slope: number; side: number; bounce: number; give: number; slowing: number };

/**
 * Reads a line of ground: what is where, and how high.
 * @throws RangeError without a stretch
 */
export function readGround({ stretches, stimpFt, firmness }: Ground): {
  at: (x: number) => Patch;
  heightAt: (x: number) => number;
  ends: readonly number[];
} {
  if (stretches.length === 0) throw new RangeError('The ground has no stretch.');
  const soft = FIRM[firmness];
  const patches = stretches.map(({ surface, slope, side = 0 }): Patch => {
    if (surface === 'sand') return { surface, slope, side, bounce: 0, give: 1, slowing: Infinity };
    const turf = TURF[surface];
    return { surface, slope, side, bounce: turf.bounce * soft.bounce, give: turf.give * soft.give, slowing: slowing(stimpFt) * turf.slow };
  });
  const ends = stretches.map(({ toM }, i) => (i === stretches.length - 1 ? Infinity : toM));
  const heights: number[] = [0];
  for (let i = 0; i + 1 < ends.length; i++) heights.push(heights[i]! + stretches[i]!.slope * (ends[i]! - (ends[i - 1] ?? 0)));
  const indexAt = (x: number) => {
    let i = 0;
    while (i + 1 < ends.length && x >= ends[i]!) i++;
    return i;
  };
  return {
    at: (x) => patches[indexAt(x)]!,
    heightAt: (x) => {
      const i = indexAt(x);
      return heights[i]! + stretches[i]!.slope * (x - (ends[i - 1] ?? 0));
    },
    ends,
  };
}
