import { isPutt } from '../golf/shot-types';
import { METRES_PER } from '../units/length';
import type { Cell } from './cells';
import { referencePutting, type PuttingSkill } from '../golf/putting';
import type { Reference } from '../golf/reference';
import { anywhereInside, centreOf, logAt } from './shape';

/**
 * What is believed of a player before any ball: the level's own curves, and how far players of a level lie from them.
 *
 * Off the green half of the balls that come off stop inside e^(μ(cell, distance) + δ(cell)), and how they spread about it is
 * `shape.ts`; δ is a Gaussian process over the cells, so that a ball of one cell says something of its neighbours. As many
 * balls are holed as would stop under the cap, which is set by the level's hole-out rate. Putting: the logarithms of the spreads of
 * direction and length, each with a shared part and one a band, interpolated in the logarithm of the distance. Where a ball lands
 * follows from what it leaves, and from landing, which is one skill for all shots.
 * The standard deviations are those of the design this model was tried with.
 */
export const SDS = {
  all: 0.16,
  lie: 0.12,
  type: 0.14,
  slope: 0.1,
  lieAndType: 0.11,
  cell: 0.17,
  logSpread: 0.07,
  angle: 0.16,
  angleBand: 0.13,
  length: 0.17,
  lengthBand: 0.13,
  landing: 0.3,
} as const;

export type Prior = {
  cells: readonly Cell[];
  offGreen: number;
  level: number;
  putting: PuttingSkill;
  /** Where each cell stands among them, by its key. */
  index: ReadonlyMap<string, number>;
  /** The covariance of δ, `offGreen` square. */
  covariance: Float64Array;
  /** The level's own curve at a distance in metres. */
  at: (cell: number, distanceM: number) => LevelCurve;
  /** Where a putt of so many metres lies among the bands: weights that add up to 1. */
  bandsAt: (distanceM: number) => Float64Array;
  bands: number;
};

const LEAST_RATE = 1e-4;
const NEAREST_M = 0.15;

/** The prior of a player who was entered with a level. */
export function priorOf(cells: readonly Cell[], reference: Reference, level: number): Prior {
  const offGreen = cells.filter((cell) => !isPutt(cell.shotType)).length;
  const putts = cells.slice(offGreen);
  const centres = putts.map((cell) => Math.log(cell.distanceM));
  const memo = new Map<string, LevelCurve>();
  const bands = new Map<number, Float64Array>();
  return {
    cells,
    offGreen,
    level,
    putting: referencePutting(level),
    index: new Map(cells.map((cell, i) => [cell.key, i])),
    covariance: covariance(cells.slice(0, offGreen)),
    at(cell, distanceM) {
      const key = `${cell}|${distanceM}`;
      let found = memo.get(key);
      if (!found) memo.set(key, (found = levelCurve(reference, level, cells[cell]!, distanceM)));
      return found;
    },
    bandsAt(distanceM) {
      let found = bands.get(distanceM);
      if (!found) bands.set(distanceM, (found = interpolation(centres, Math.log(Math.max(0.1, distanceM)))));
      return found;
    },
    bands: putts.length,
  };
}

/**
 * Where a level's balls stop, as logarithms of metres: half of those that came off inside `mu`; as many as are holed inside `logCap`,
 * `luck` of those that end anywhere.
 */
export type LevelCurve = { mu: number; logCap: number; luck: number };

/** A level's own curve at a distance in metres. */
export function levelCurve(reference: Reference, level: number, cell: Pick<Cell, 'shotType' | 'surface'>, distanceM: number): LevelCurve {
  const shot = reference.shot(level, cell.shotType, cell.surface, distanceM)!;
  const mu = centreOf(Math.max(NEAREST_M, shot.medianLeftFt * METRES_PER.ft), distanceM);
  const rate = Math.min(0.5, Math.max(LEAST_RATE, shot.holeOutRate));
  const logCap = logAt(rate, mu, distanceM);
  return { mu, logCap, luck: anywhereInside(Math.exp(logCap), distanceM) };
}

function covariance(cells: readonly Cell[]): Float64Array {
  const n = cells.length;
  const logs = cells.map((cell) => Math.log(cell.distanceM));
  const mean = logs.reduce((a, b) => a + b, 0) / Math.max(1, n);
  const sd = Math.sqrt(logs.reduce((sum, x) => sum + (x - mean) ** 2, 0) / Math.max(1, n)) || 1;
  const a = new Float64Array(n * n);
  for (let i = 0; i < n; i++)
    for (let j = 0; j < n; j++) {
      const [one, other] = [cells[i]!, cells[j]!];
      const [lie, type] = [one.surface === other.surface, one.shotType === other.shotType];
      a[i * n + j] =
        SDS.all ** 2 +
        (lie ? SDS.lie ** 2 : 0) +
        (type ? SDS.type ** 2 : 0) +
        (SDS.slope ** 2 * (logs[i]! - mean) * (logs[j]! - mean)) / sd ** 2 +
        (lie && type ? SDS.lieAndType ** 2 : 0) +
        (i === j ? SDS.cell ** 2 : 0);
    }
  return a;
}

/** Linear between the nearest two of ascending points, the end one alone beyond them. */
function interpolation(points: readonly number[], x: number): Float64Array {
  const weights = new Float64Array(points.length);
  const above = points.findIndex((point) => point >= x);
  if (above === 0) weights[0] = 1;
  else if (above === -1) weights[points.length - 1] = 1;
  else {
    const share = (x - points[above - 1]!) / (points[above]! - points[above - 1]!);
    weights[above - 1] = 1 - share;
    weights[above] = share;
  }
  return weights;
}
