import type { Play } from '../physics/solve';
import { asideWith, finishWith } from '../physics/solve';
import type { Strike } from '../physics/shot';
import { missParts } from '../skill/landing';
import { normalQuantile } from '../math/normal';
import type { Surface } from '../golf/words';
import { ERRORS } from './spread';
import type { StrokesAfter } from './strokes-after';
import type { Terrain } from './terrain';

/** What a shot comes to when it is played with somebody's spread. */
export type Chances = {
  /** To hole out, this shot included; hole-outs left out. */
  strokes: number;
  /** One ball in ten needs at least so many. */
  worst: number;
  /** How many stop so near, off the green, in sand. */
  within: number;
  offGreen: number;
  sand: number;
  /** Half of the balls that stay in play stop within, in metres. */
  medianLeftM: number;
  /** How many never stop on the slope. */
  runsAway: number;
};

/** Fewer strokes apart than this: no difference that the model could see. */
export const SAME_STROKES = 0.02;

/** Speeds that are played through, in standard deviations; between them the finish is read linearly. */
const NODES = [-4, -3, -2.25, -1.5, -1, -0.5, 0, 0.5, 1, 1.5, 2.25, 3, 4] as const;
const quantiles = (n: number) => Array.from({ length: n }, (_, i) => normalQuantile((i + 0.5) / n));
const BY_RUN = quantiles(5);
const ACROSS = quantiles(7);
/** A ball that never stops lies so far beyond the hole, for the strokes it costs. */
const RAN_AWAY_M = 30;

export type Striking = { play: Play; strike: Strike; headSpeed: number; k: number; aimDeg: number };

/**
 * What comes of a shot whose speed, run and line err as somebody's do.
 * @param spread the standard deviation of the carry as a share of it (spread.ts)
 * @param withinM what counts as near
 */
export function chancesOf(
  { play, strike, headSpeed, k, aimDeg }: Striking,
  terrain: Terrain,
  spread: number,
  after: StrokesAfter,
  withinM: number,
): Chances {
  const [reaches, aside] = [finishWith(k), asideWith(k)];
  const centre = play(headSpeed, strike);
  const runM = Math.max(0, (reaches(centre) ?? centre.carryM) - centre.carryM);
  const parts = missParts(centre.carryM + runM, centre.carryM);
  // By how much the carry grows with the speed: an error of the carry, as one of the speed.
  const faster = play(headSpeed * 1.02, strike).carryM - centre.carryM;
  const speedSd = Math.min(0.3, (spread * parts.carry) / Math.max(0.01, faster / 0.02));
  const finishes = NODES.map((z) => {
    const shot = play(Math.max(0.3, headSpeed * (1 + speedSd * z)), strike);
    // The side slope is aimed off for; what a longer or shorter run adds to it is missed by.
    return { finish: reaches(shot), run: Math.max(0, (reaches(shot) ?? 0) - shot.carryM), aside: aside(shot) - aside(centre) };
  });
  const angle = (aimDeg * Math.PI) / 180;
  const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
  const [needed, lefts] = [new Sums((strokes) => strokes * 100, 1200), new Sums((left) => 50 * Math.log(1 + 20 * left), 400)];
  let [within, offGreen, sand, runsAway] = [0, 0, 0, 0];
  let node = 0;
  for (const { z, p } of ERRORS) {
    while (node < NODES.length - 2 && z > NODES[node + 1]!) node++;
    const [a, b] = [finishes[node]!, finishes[node + 1]!];
    const share = (z - NODES[node]!) / (NODES[node + 1]! - NODES[node]!);
    if (a.finish === null || b.finish === null) {
      // On either side of the speed from which none stops: the nearer one says.
      const near = share < 0.5 ? a : b;
      if (near.finish === null) {
        runsAway += p;
        offGreen += p;
        needed.add(1 + after('light_rough', RAN_AWAY_M), p);
        lefts.add(RAN_AWAY_M, p);
        continue;
      }
    }
    const finish = a.finish === null ? b.finish! : b.finish === null ? a.finish : a.finish + share * (b.finish - a.finish);
    const run = a.run + share * (b.run - a.run);
    const bent = a.aside + share * (b.aside - a.aside);
    const runSd = runM > 0 ? (spread * parts.run * run) / runM : 0;
    for (const byRun of BY_RUN)
      for (const side of ACROSS) {
        const along = finish + byRun * runSd;
        const off = bent + side * spread * parts.across;
        const [x, right] = [along * cos - off * sin, along * sin + off * cos];
        const left = Math.hypot(x - terrain.distanceM, right);
        const surface: Surface = terrain.surfaceAt(x, right);
        const weight = p / (BY_RUN.length * ACROSS.length);
        if (left <= withinM) within += weight;
        if (surface !== 'green') offGreen += weight;
        if (surface === 'sand') sand += weight;
        needed.add(1 + after(surface, left), weight);
        lefts.add(left, weight);
      }
  }
  return { strokes: needed.mean, worst: needed.quantile(0.9), within, offGreen, sand, runsAway, medianLeftM: lefts.quantile(0.5) };
}

/** Weighed values: their mean, and quantiles as fine as the bins. */
class Sums {
  private readonly bins: Float64Array;
  private readonly means: Float64Array;
  private sum = 0;
  private weight = 0;
  private readonly binOf: (value: number) => number;

  constructor(binOf: (value: number) => number, bins: number) {
    this.binOf = binOf;
    this.bins = new Float64Array(bins);
    this.means = new Float64Array(bins);
  }

  add(value: number, weight: number) {
    const bin = Math.min(this.bins.length - 1, Math.max(0, Math.floor(this.binOf(value))));
    this.bins[bin]! += weight;
    this.means[bin]! += weight * value;
    this.sum += weight * value;
    this.weight += weight;
  }

  get mean(): number {
    return this.sum / this.weight;
  }

  quantile(share: number): number {
    let below = 0;
    for (let bin = 0; bin < this.bins.length; bin++) {
      below += this.bins[bin]!;
      if (below >= share * this.weight) return this.means[bin]! / this.bins[bin]!;
    }
    return this.mean;
  }
}
