import { cholesky, logDeterminant, solveLower, solveUpper } from '../math/linear';
import { itemsOf, likelihood, restSize, type Item, type Likelihood } from './likelihood';
import type { Group } from './groups';
import { SDS, type Prior } from './prior';

/** How much wider than the prior a player may be; each is fitted, and weighs what the evidence gives it. */
const SCALES = [0.7, 1, 1.4, 2] as const;
const MOST_STEPS = 25;
/** What another step would gain of the logarithm is under half of this: far less than draws tell apart. */
const DONE = 1e-4;

/** One fit: the mode, the curvature there (its Cholesky factor), and the logarithm of its evidence. */
export type Mode = { scale: number; z: Float64Array; factor: Float64Array; evidence: number; steps: number };
export type Fit = { prior: Prior; modes: (Mode & { weight: number })[] };

/**
 * Fits a player: for each prior scale the mode by Fisher scoring with backtracking, weighted by Laplace's evidence.
 * @param from an earlier fit, from which to start
 */
export function fit(groups: readonly Group[], prior: Prior, from?: Fit): Fit {
  const items = itemsOf(groups, prior);
  let start = new Float64Array(prior.offGreen + restSize(prior));
  const modes = SCALES.map((scale, i) => {
    const mode = climb(items, prior, scale, from?.modes[i]?.z ?? start);
    // The next scale begins where this one ended, as the same parameters.
    start = mode.z.map((value) => (value * scale) / (SCALES[i + 1] ?? scale)) as Float64Array<ArrayBuffer>;
    return mode;
  });
  const best = Math.max(...modes.map((mode) => mode.evidence));
  const weights = modes.map((mode) => Math.exp(mode.evidence - best));
  const sum = weights.reduce((a, b) => a + b, 0);
  return { prior, modes: modes.map((mode, i) => ({ ...mode, weight: weights[i]! / sum })) };
}

/** The parameters that standard normals stand for. */
export function parametersOf(prior: Prior, scale: number, z: Float64Array): { delta: Float64Array; rest: Float64Array } {
  const k = prior.offGreen;
  const delta = new Float64Array(k);
  for (let i = 0; i < k; i++) {
    let sum = 0;
    for (let j = 0; j <= i; j++) sum += prior.factor[i * k + j]! * z[j]!;
    delta[i] = scale * sum;
  }
  const sds = restSds(prior, scale);
  return { delta, rest: sds.map((sd, i) => sd * z[k + i]!) };
}

function restSds(prior: Prior, scale: number): Float64Array {
  const sds = new Float64Array(restSize(prior));
  sds[0] = SDS.logSpread;
  sds[1] = scale * SDS.angle;
  sds[2 + prior.bands] = scale * SDS.length;
  for (let b = 0; b < prior.bands; b++) {
    sds[2 + b] = scale * SDS.angleBand;
    sds[3 + prior.bands + b] = scale * SDS.lengthBand;
  }
  return sds;
}

function objective(items: readonly Item[], prior: Prior, scale: number, z: Float64Array) {
  const { delta, rest } = parametersOf(prior, scale, z);
  const found = likelihood(items, prior, delta, rest);
  let half = 0;
  for (const value of z) half += (value * value) / 2;
  return { found, value: half - found.value };
}

function climb(items: readonly Item[], prior: Prior, scale: number, from: Float64Array): Mode {
  let z = Float64Array.from(from);
  let here = objective(items, prior, scale, z);
  const n = z.length;
  for (let step = 1; ; step++) {
    const { gradient, curvature } = inZ(here.found, prior, scale, z);
    const factor = cholesky(curvature, n);
    const direction = solveUpper(factor, n, solveLower(factor, n, gradient));
    let slope = 0;
    for (let i = 0; i < n; i++) slope += gradient[i]! * direction[i]!;
    if (slope < DONE || step > MOST_STEPS) return { scale, z, factor, evidence: -here.value - logDeterminant(factor, n) / 2, steps: step };
    let length = 1;
    for (; length > 1e-4; length /= 2) {
      const next = z.map((value, i) => value - length * direction[i]!);
      const there = objective(items, prior, scale, next);
      if (there.value <= here.value - 1e-4 * length * slope) {
        z = next;
        here = there;
        break;
      }
    }
    if (length <= 1e-4) return { scale, z, factor, evidence: -here.value - logDeterminant(factor, n) / 2, steps: step };
  }
}

/** Gradient and curvature of the objective in standard normals. */
function inZ(found: Likelihood, prior: Prior, scale: number, z: Float64Array) {
  const [k, m, n] = [prior.offGreen, restSize(prior), z.length];
  const l = prior.factor;
  const sds = restSds(prior, scale);
  const gradient = Float64Array.from(z);
  const curvature = new Float64Array(n * n);
  for (let row = 0; row < k; row++) {
    const [score, information] = [found.byCell[row]!, found.cells[row]!];
    if (score === 0 && information === 0) continue;
    // Only cells with evidence cost anything.
    for (let i = 0; i <= row; i++) {
      const a = scale * l[row * k + i]!;
      gradient[i]! -= a * score;
      if (information !== 0) for (let j = 0; j <= i; j++) curvature[i * n + j]! += a * information * scale * l[row * k + j]!;
      for (let r = 0; r < m; r++) {
        const cross = found.cross[row * m + r]!;
        if (cross !== 0) curvature[(k + r) * n + i]! += sds[r]! * cross * a;
      }
    }
  }
  for (let r = 0; r < m; r++) {
    gradient[k + r]! -= sds[r]! * found.byRest[r]!;
    for (let q = 0; q <= r; q++) curvature[(k + r) * n + k + q]! += sds[r]! * found.rest[r * m + q]! * sds[q]!;
  }
  for (let i = 0; i < n; i++) {
    curvature[i * n + i]! += 1;
    for (let j = 0; j < i; j++) curvature[j * n + i] = curvature[i * n + j]!;
  }
  return { gradient, curvature };
}
