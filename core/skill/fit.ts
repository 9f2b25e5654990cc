import { cholesky, logDeterminant, solveLower, solveUpper } from '../math/linear';
import { discounted } from './discount';
import type { BallGroup } from './groups';
import { itemsOf, likelihood, type Item, type Likelihood } from './likelihood';
import { ANGLE, landingAt, lengthAt, restSize, SPREAD, type Parameters } from './parameters';
import { SDS, type Prior } from './prior';

/** How much wider than the prior a player may be, and how likely that is before any ball; each is fitted, and weighs what the evidence gives it. */
export const SCALES = [0.6, 0.85, 1.2, 1.7] as const;
export const LIKELY = [0.25, 0.42, 0.3, 0.03] as const;
const MOST_STEPS = 25;
/** What another step would gain of the logarithm is under half of this: far less than draws tell apart. */
const DONE = 1e-3;

/**
 * The cells off the green with those first that have evidence: given them, the others are as the prior has them, so a
 * fit costs as much as there are cells with evidence.
 */
export type CellOrder = {
  /** Cells by their place in the prior. */
  cells: Int32Array;
  /** How many have evidence. */
  used: number;
  /** Cholesky factor of the prior's covariance in this order, all cells square. */
  factor: Float64Array;
};

/**
 * One fit: the mode in standard normals (first of the used cells, then the rest), the curvature there (its Cholesky
 * factor), and the logarithm of its evidence.
 */
export type Mode = { scale: number; z: Float64Array; factor: Float64Array; evidence: number; steps: number };
export type Fit = { prior: Prior; order: CellOrder; modes: (Mode & { weight: number })[] };

/**
 * Fits a player: for each prior scale the mode by Fisher scoring with backtracking, weighted by Laplace's evidence. Always from the
 * beginning: what is believed hangs on the balls alone, never on what was believed before.
 */
export function fit(groups: readonly BallGroup[], prior: Prior): Fit {
  const order = orderOf(groups, prior);
  const place = new Int32Array(prior.offGreen);
  order.cells.forEach((cell, at) => (place[cell] = at));
  const items = itemsOf(discounted(groups), prior, place);

  let start = new Float64Array(order.used + restSize(prior));
  const modes = SCALES.map((scale, i) => {
    const mode = climb(items, prior, order, scale, start);
    // The next scale begins where this one ended, as the same parameters.
    start = mode.z.map((value) => (value * scale) / (SCALES[i + 1] ?? scale)) as Float64Array<ArrayBuffer>;
    return mode;
  });
  const best = Math.max(...modes.map((mode) => mode.evidence));
  const weights = modes.map((mode, i) => LIKELY[i]! * Math.exp(mode.evidence - best));
  const sum = weights.reduce((a, b) => a + b, 0);
  return { prior, order, modes: modes.map((mode, i) => ({ ...mode, weight: weights[i]! / sum })) };
}

function orderOf(groups: readonly BallGroup[], prior: Prior): CellOrder {
  const k = prior.offGreen;
  const some = new Set(groups.map(({ cell }) => prior.index.get(cell) ?? k));
  const all = Array.from({ length: k }, (_, cell) => cell);
  const played = all.filter((cell) => some.has(cell));
  const cells = Int32Array.from([...played, ...all.filter((cell) => !some.has(cell))]);
  const used = played.length;
  return { cells, used, factor: cholesky(inOrder(prior.covariance, cells), k) };
}

/** A square matrix with its rows and columns in another order. */
function inOrder(matrix: Float64Array, order: Int32Array): Float64Array {
  const k = order.length;
  const ordered = new Float64Array(k * k);
  for (let i = 0; i < k; i++) for (let j = 0; j < k; j++) ordered[i * k + j] = matrix[order[i]! * k + order[j]!]!;
  return ordered;
}

/**
 * The parameters that standard normals stand for: δ of every cell off the green, and the rest.
 * @param more standard normals of the cells without evidence; none: their expectation
 */
export function parametersOf(
  { prior, order }: Pick<Fit, 'prior' | 'order'>,
  scale: number,
  z: Float64Array,
  more?: Float64Array,
): Parameters {
  const [k, used] = [prior.offGreen, order.used];
  const delta = new Float64Array(k);
  const all = new Float64Array(k);
  all.set(z.subarray(0, used));
  if (more) all.set(more, used);
  const { factor } = order;
  const upTo = more ? k : used;
  for (let i = 0; i < k; i++) {
    let sum = 0;
    const row = i * k;
    for (let j = 0, end = i < upTo ? i + 1 : upTo; j < end; j++) sum += factor[row + j]! * all[j]!;
    delta[order.cells[i]!] = scale * sum;
  }
  const sds = restSds(prior, scale);
  return { delta, rest: sds.map((sd, i) => sd * z[used + i]!) };
}

function restSds(prior: Prior, scale: number): Float64Array {
  const sds = new Float64Array(restSize(prior));
  const { bands } = prior;
  const length = lengthAt(bands);
  sds[SPREAD] = SDS.logSpread;
  sds[ANGLE] = scale * SDS.angle;
  sds.fill(scale * SDS.angleBand, ANGLE + 1, ANGLE + 1 + bands);
  sds[length] = scale * SDS.length;
  sds.fill(scale * SDS.lengthBand, length + 1, length + 1 + bands);
  sds[landingAt(bands)] = scale * SDS.landing;
  return sds;
}

function objective(items: readonly Item[], prior: Prior, order: CellOrder, scale: number, sds: Float64Array, z: Float64Array) {
  const [k, used] = [prior.offGreen, order.used];
  const delta = new Float64Array(used);
  for (let i = 0; i < used; i++) {
    let sum = 0;
    for (let j = 0; j <= i; j++) sum += order.factor[i * k + j]! * z[j]!;
    delta[i] = scale * sum;
  }
  const found = likelihood(
    items,
    prior,
    delta,
    sds.map((sd, i) => sd * z[used + i]!),
  );
  let half = 0;
  for (const value of z) half += (value * value) / 2;
  return { found, value: half - found.value };
}

function climb(items: readonly Item[], prior: Prior, order: CellOrder, scale: number, from: Float64Array): Mode {
  const sds = restSds(prior, scale);
  let z = Float64Array.from(from);
  let here = objective(items, prior, order, scale, sds, z);
  const n = z.length;
  let gained = Infinity;
  for (let step = 1; ; step++) {
    const { gradient, curvature } = inZ(here.found, order, scale, sds, z);
    const factor = cholesky(curvature, n);
    const direction = solveUpper(factor, n, solveLower(factor, n, gradient));
    let slope = 0;
    for (let i = 0; i < n; i++) slope += gradient[i]! * direction[i]!;
    const end = () => ({ scale, z, factor, evidence: -here.value - logDeterminant(factor, n) / 2, steps: step });
    // What follows a missed putt is read from a grid, with kinks at which a slope is left that leads nowhere.
    if (slope < DONE || gained < 10 * DONE || step > MOST_STEPS) return end();
    let length = 1;
    for (; length > 1e-4; length /= 2) {
      const next = z.map((value, i) => value - length * direction[i]!);
      const there = objective(items, prior, order, scale, sds, next);
      if (there.value <= here.value - 1e-4 * length * slope) {
        gained = here.value - there.value;
        z = next;
        here = there;
        break;
      }
    }
    if (length <= 1e-4) return end();
  }
}

/** Gradient and curvature of the objective in standard normals. */
function inZ(found: Likelihood, order: CellOrder, scale: number, sds: Float64Array, z: Float64Array) {
  const [k, used, m, n] = [order.cells.length, order.used, sds.length, z.length];
  const gradient = Float64Array.from(z);
  const curvature = new Float64Array(n * n);
  for (let row = 0; row < used; row++) {
    const [score, information] = [found.byCell[row]!, found.cells[row]!];
    for (let i = 0; i <= row; i++) {
      const a = scale * order.factor[row * k + i]!;
      gradient[i]! -= a * score;
      const weighed = a * information * scale;
      for (let j = 0; j <= i; j++) curvature[i * n + j]! += weighed * order.factor[row * k + j]!;
      for (let r = 0; r < m; r++) curvature[(used + r) * n + i]! += sds[r]! * found.cross[row * m + r]! * a;
    }
  }
  for (let r = 0; r < m; r++) {
    gradient[used + r]! -= sds[r]! * found.byRest[r]!;
    for (let q = 0; q <= r; q++) curvature[(used + r) * n + used + q]! += sds[r]! * found.rest[r * m + q]! * sds[q]!;
  }
  for (let i = 0; i < n; i++) curvature[i * n + i]! += 1;
  return { gradient, curvature };
}
