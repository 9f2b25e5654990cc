import { normalCdf, normalQuantile } from '../math/normal';
import { METRES_PER } from '../units/length';
import type { Group } from './groups';
import { LOG_SPREAD, type Prior } from './prior';
import { makeParts } from './putting';

/**
 * What the parameters of a player make of the evidence. They stand in one list: δ of each cell off the green, then the
 * rest: ln s (as a deviation), the shared spread of direction, one a band, the shared spread of length, one a band.
 */
export type Likelihood = {
  value: number;
  /** Of the logarithm, by δ and by the rest. */
  byCell: Float64Array;
  byRest: Float64Array;
  /** Information: by cell (a diagonal), between cells and the rest, and of the rest. */
  cells: Float64Array;
  cross: Float64Array;
  rest: Float64Array;
};

/** Evidence of one kind from one place, with its outcomes together: what a fit goes through again and again. */
export type Item =
  | { kind: 'between'; cell: number; mu: number; logCap: number; logLo: number; logHi: number; blur: number; n: number }
  | { kind: 'mean'; cell: number; mu: number; logLeft: number; balls: number; blur: number; n: number }
  | { kind: 'strokes'; cell: number; mu: number; logCap: number; n: [number, number, number] }
  | { kind: 'landed'; cell: number; mu: number; logZone: number; n: [number, number] }
  | { kind: 'made'; ft: number; bands: Float64Array; n: [number, number] };

/** The landing error of a shot, as a share of what it leaves: its median. A judgement. */
const LANDING_SHARE = 0.8;
const LEAST_P = 1e-12;

/** Groups with what the level says of their places; groups of cells that are not among the prior's say nothing. */
export function itemsOf(groups: readonly Group[], prior: Prior): Item[] {
  const index = new Map(prior.cells.map((cell, i) => [cell.key, i]));
  const items: Item[] = [];
  const together = new Map<string, Item>();
  const joined = <T extends Item>(key: string, make: () => T): T => {
    const held = together.get(key) as T | undefined;
    if (held) return held;
    const made = make();
    together.set(key, made);
    items.push(made);
    return made;
  };
  for (const { cell: name, kind, distanceM, lo, hi, blur, value, lie, n } of groups) {
    const cell = index.get(name);
    if (kind === 'made') {
      const item = joined(`made|${distanceM}`, () => ({
        kind,
        ft: distanceM / METRES_PER.ft,
        bands: prior.bandsAt(distanceM),
        n: [0, 0] as [number, number],
      }));
      item.n[value === 1 ? 0 : 1] += n;
      continue;
    }
    if (cell === undefined || cell >= prior.offGreen) continue;
    const level = prior.at(cell, distanceM);
    const [mu, logCap] = [level.mu + lie, level.logCap];
    if (kind === 'between') items.push({ kind, cell, mu, logCap, logLo: Math.log(lo), logHi: Math.log(hi), blur, n });
    else if (kind === 'holed') items.push({ kind: 'between', cell, mu, logCap: -Infinity, logLo: -Infinity, logHi: logCap, blur: 0, n });
    else if (kind === 'mean') items.push({ kind, cell, mu, logLeft: Math.log(lo), balls: value, blur, n });
    else if (kind === 'landed')
      joined(`landed|${cell}|${distanceM}|${lo}|${lie}`, () => ({
        kind,
        cell,
        mu,
        logZone: Math.log(lo / LANDING_SHARE),
        n: [0, 0] as [number, number],
      })).n[value === 1 ? 0 : 1] += n;
    else
      joined(`strokes|${cell}|${distanceM}|${lie}`, () => ({
        kind: 'strokes' as const,
        cell,
        mu,
        logCap,
        n: [0, 0, 0] as [number, number, number],
      })).n[value - 1]! += n;
  }
  return items;
}

const density = (z: number) => Math.exp((-z * z) / 2) / 2.5066282746310002;
/** Φ(b) − Φ(a), without losing the tails. */
const between = (a: number, b: number) => (a > 0 ? normalCdf(-a) - normalCdf(-b) : normalCdf(b) - normalCdf(a));

/** How many parameters there are beside the cells': the spread, and twice a shared one with one a band. */
export const restSize = (prior: Prior) => 3 + 2 * prior.bands;

/** The likelihood of the parameters, its gradient and its information. */
export function likelihood(items: readonly Item[], prior: Prior, delta: Float64Array, rest: Float64Array): Likelihood {
  const [k, m] = [prior.offGreen, restSize(prior)];
  const out: Likelihood = {
    value: 0,
    byCell: new Float64Array(k),
    byRest: new Float64Array(m),
    cells: new Float64Array(k),
    cross: new Float64Array(k * m),
    rest: new Float64Array(m * m),
  };
  const s = Math.exp(LOG_SPREAD + rest[0]!);
  for (const item of items) {
    if (item.kind === 'between') addBetween(out, item, delta[item.cell]!, s);
    else if (item.kind === 'mean') addMean(out, item, delta[item.cell]!, s, m);
    else if (item.kind === 'landed') addLanded(out, item, delta[item.cell]!, s, m);
    else if (item.kind === 'made') addMade(out, item, prior, rest);
    else addStrokes(out, item, prior, delta[item.cell]!, s, rest);
  }
  return out;
}

function addBetween(out: Likelihood, item: Item & { kind: 'between' }, delta: number, s: number) {
  const mu = item.mu + delta;
  const spread = item.blur === 0 ? s : Math.sqrt(s * s + item.blur * item.blur);
  // What is not in the hole lies beyond the cap; a ball that was measured nearer than that lies where it was measured.
  const from = item.logHi > item.logCap ? Math.max(item.logLo, item.logCap) : item.logLo;
  const [a, b] = [(from - mu) / spread, (item.logHi - mu) / spread];
  const p = Math.max(LEAST_P, between(a, b));
  const [da, db] = [Number.isFinite(a) ? density(a) : 0, Number.isFinite(b) ? density(b) : 0];
  const moment = (Number.isFinite(b) ? b * db : 0) - (Number.isFinite(a) ? a * da : 0);
  const share = (s * s) / (spread * spread);
  const byMu = -(db - da) / (spread * p);
  const byS = (-moment * share) / p;
  out.value += item.n * Math.log(p);
  out.byCell[item.cell]! += item.n * byMu;
  out.byRest[0]! += item.n * byS;
  // Concave in μ, so the observed information is never negative; for the spread, the square of the score.
  out.cells[item.cell]! += item.n * Math.max(0, byMu * byMu + moment / (spread * spread * p));
  out.rest[0]! += item.n * byS * byS;
}

/** The mean of several balls, as the logarithm of a log-normal's mean: normal about μ + s²/2. */
function addMean(out: Likelihood, item: Item & { kind: 'mean' }, delta: number, s: number, m: number) {
  const growth = Math.exp(s * s);
  const variance = (growth - 1 + item.blur * item.blur) / item.balls;
  const gap = item.logLeft - (item.mu + delta + (s * s) / 2);
  const byVariance = (2 * s * s * growth) / item.balls;
  out.value += item.n * (-0.5 * Math.log(2 * Math.PI * variance) - (gap * gap) / (2 * variance));
  out.byCell[item.cell]! += (item.n * gap) / variance;
  out.byRest[0]! += item.n * ((gap / variance) * s * s + byVariance * ((gap * gap) / (2 * variance * variance) - 1 / (2 * variance)));
  out.cells[item.cell]! += item.n / variance;
  out.cross[item.cell * m]! += (item.n * s * s) / variance;
  out.rest[0]! += item.n * (s ** 4 / variance + byVariance ** 2 / (2 * variance * variance));
}

function addLanded(out: Likelihood, item: Item & { kind: 'landed' }, delta: number, s: number, m: number) {
  const z = (item.logZone - item.mu - delta) / s;
  const p = Math.min(1 - LEAST_P, Math.max(LEAST_P, normalCdf(z)));
  const [byMu, byS] = [-density(z) / s, -density(z) * z];
  const total = item.n[0] + item.n[1];
  const score = item.n[0] / p - item.n[1] / (1 - p);
  const information = total / (p * (1 - p));
  out.value += item.n[0] * Math.log(p) + item.n[1] * Math.log(1 - p);
  out.byCell[item.cell]! += score * byMu;
  out.byRest[0]! += score * byS;
  out.cells[item.cell]! += information * byMu * byMu;
  out.cross[item.cell * m]! += information * byMu * byS;
  out.rest[0]! += information * byS * byS;
}

/** Where the spreads of direction and length of a putt begin in the rest, and how they are read for one distance. */
function puttingAt(prior: Prior, rest: Float64Array, bands: Float64Array): { angle: number; distance: number } {
  let [angle, distance] = [rest[1]!, rest[2 + prior.bands]!];
  for (let b = 0; b < prior.bands; b++) {
    angle += bands[b]! * rest[2 + b]!;
    distance += bands[b]! * rest[3 + prior.bands + b]!;
  }
  return { angle: prior.putting.angle * Math.exp(angle), distance: prior.putting.distance * Math.exp(distance) };
}

/** Adds a change by the spreads of one distance to a gradient over the rest. */
function spreadOver(prior: Prior, bands: Float64Array, byAngle: number, byDistance: number, into: Float64Array) {
  into[1]! += byAngle;
  into[2 + prior.bands]! += byDistance;
  for (let b = 0; b < prior.bands; b++) {
    into[2 + b]! += bands[b]! * byAngle;
    into[3 + prior.bands + b]! += bands[b]! * byDistance;
  }
}

function addMade(out: Likelihood, item: Item & { kind: 'made' }, prior: Prior, rest: Float64Array) {
  const m = rest.length;
  const { rate, byAngle, byDistance } = makeParts(puttingAt(prior, rest, item.bands), item.ft);
  const p = Math.min(1 - LEAST_P, Math.max(LEAST_P, rate));
  const by = new Float64Array(m);
  spreadOver(prior, item.bands, byAngle, byDistance, by);
  const score = item.n[0] / p - item.n[1] / (1 - p);
  const information = (item.n[0] + item.n[1]) / (p * (1 - p));
  out.value += item.n[0] * Math.log(p) + item.n[1] * Math.log(1 - p);
  for (let i = 0; i < m; i++) {
    if (by[i] === 0) continue;
    out.byRest[i]! += score * by[i]!;
    for (let j = 0; j < m; j++) out.rest[i * m + j]! += information * by[i]! * by[j]!;
  }
}

/** Places that stand for where a ball stopped that was not holed: the middles of equally likely parts. */
const LOOKS = 10;
const STEP = 1e-4;

/** Strokes to hole out: 1, 2, or more. Two are a ball that was not holed and a putt that was, by the player's own putting. */
function addStrokes(out: Likelihood, item: Item & { kind: 'strokes' }, prior: Prior, delta: number, s: number, rest: Float64Array) {
  const m = rest.length;
  const mu = item.mu + delta;
  const z = (item.logCap - mu) / s;
  const holed = normalCdf(z);
  const bySpread = new Float64Array(m);
  let made = 0;
  let madeByMu = 0;
  let madeByS = 0;
  for (let look = 0; look < LOOKS; look++) {
    const share = (look + 0.5) / LOOKS;
    const q = normalQuantile(Math.min(1 - 1e-9, holed + share * (1 - holed)));
    const leftM = Math.exp(mu + s * q);
    const bands = prior.bandsAt(leftM);
    const ft = Math.min(200, leftM / METRES_PER.ft);
    const putting = puttingAt(prior, rest, bands);
    const { rate, byAngle, byDistance } = makeParts(putting, ft);
    // The bands' spreads move with the distance too; that slope is taken from a step.
    const rateAt = (factor: number) => makeParts(puttingAt(prior, rest, prior.bandsAt(leftM * factor)), Math.min(200, ft * factor)).rate;
    const byLog = (rateAt(1 + STEP) - rateAt(1 - STEP)) / (2 * STEP);
    // dq/d(holed) = (1 − share)/φ(q), with holed = Φ(z).
    const pull = ((1 - share) * density(z)) / Math.max(1e-12, density(q));
    madeByMu += (byLog * (1 - pull)) / LOOKS;
    madeByS += (byLog * (s * q - pull * z * s)) / LOOKS;
    made += rate / LOOKS;
    spreadOver(prior, bands, byAngle / LOOKS, byDistance / LOOKS, bySpread);
  }
  const holedByMu = -density(z) / s;
  const holedByS = -density(z) * z;
  const p = [holed, (1 - holed) * made, (1 - holed) * (1 - made)].map((one) => Math.max(LEAST_P, one));
  const byMu = [holedByMu, -holedByMu * made + (1 - holed) * madeByMu, -holedByMu * (1 - made) - (1 - holed) * madeByMu];
  const byS = [holedByS, -holedByS * made + (1 - holed) * madeByS, -holedByS * (1 - made) - (1 - holed) * madeByS];
  const total = item.n[0] + item.n[1] + item.n[2];
  const by = new Float64Array(m);
  for (let c = 0; c < 3; c++) {
    out.value += item.n[c]! * Math.log(p[c]!);
    const sign = c === 0 ? 0 : c === 1 ? 1 : -1;
    for (let i = 1; i < m; i++) by[i] = sign * (1 - holed) * bySpread[i]!;
    by[0] = byS[c]!;
    const score = item.n[c]! / p[c]!;
    const information = total / p[c]!;
    out.byCell[item.cell]! += score * byMu[c]!;
    out.cells[item.cell]! += information * byMu[c]! ** 2;
    for (let i = 0; i < m; i++) {
      out.byRest[i]! += score * by[i]!;
      out.cross[item.cell * m + i]! += information * byMu[c]! * by[i]!;
      for (let j = 0; j < m; j++) out.rest[i * m + j]! += information * by[i]! * by[j]!;
    }
  }
}
