import { normalCdf } from '../math/normal';
import { METRES_PER } from '../units/length';
import type { Group } from './groups';
import { LOG_SPREAD, type Prior } from './prior';
import { afterMiss } from './putters';
import { leaveParts, makeParts } from './putting';

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
  | { kind: 'leave'; ft: number; bands: Float64Array; lo: number; hi: number; n: number }
  /** Putts from one place: made, missed and no more known, and missed with the next made or missed too. */
  | { kind: 'made'; ft: number; bands: Float64Array; n: [number, number, number, number] };

/** The landing error of a shot, as a share of what it leaves: its median. A judgement. */
export const LANDING_SHARE = 0.8;
const LEAST_P = 1e-12;
/** Farther out, in standard deviations, no ball stops. */
const FAR = 5;

/** Groups with what the level says of their places; groups of cells that are not among the prior's say nothing. */
export function itemsOf(groups: readonly Group[], prior: Prior): Item[] {
  const { index } = prior;
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
    if (kind === 'made' || kind === 'putted') {
      const item = joined(`made|${distanceM}`, () => ({
        kind: 'made' as const,
        ft: distanceM / METRES_PER.ft,
        bands: prior.bandsAt(distanceM),
        n: [0, 0, 0, 0] as [number, number, number, number],
      }));
      item.n[kind === 'putted' ? value : 1 - value]! += n;
      continue;
    }
    if (kind === 'leave') {
      const [near, far] = [(lo * Math.exp(-blur)) / METRES_PER.ft, (hi * Math.exp(blur)) / METRES_PER.ft];
      items.push({ kind, ft: distanceM / METRES_PER.ft, bands: prior.bandsAt(distanceM), lo: near, hi: far, n });
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
export const restSize = (prior: Pick<Prior, 'bands'>) => 3 + 2 * prior.bands;

/** The likelihood of the parameters, its gradient and its information. */
export function likelihood(items: readonly Item[], prior: Prior, delta: Float64Array, rest: Float64Array): Likelihood {
  const [k, m] = [delta.length, restSize(prior)];
  const out: Likelihood = {
    value: 0,
    byCell: new Float64Array(k),
    byRest: new Float64Array(m),
    cells: new Float64Array(k),
    cross: new Float64Array(k * m),
    rest: new Float64Array(m * m),
  };
  const s = Math.exp(LOG_SPREAD + rest[0]!);
  const putting = items.some(({ kind }) => kind === 'strokes') ? puttingOver(prior, rest) : null;
  const by = new Float64Array(m);
  for (const item of items) {
    if (item.kind === 'between') addBetween(out, item, delta[item.cell]!, s);
    else if (item.kind === 'mean') addMean(out, item, delta[item.cell]!, s, m);
    else if (item.kind === 'landed') addLanded(out, item, delta[item.cell]!, s, m);
    else if (item.kind === 'leave') addLeave(out, item, prior, rest, by);
    else if (item.kind === 'made') addMade(out, item, prior, rest, by);
    else addStrokes(out, item, prior, delta[item.cell]!, s, putting!, by);
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

/** A missed putt that stopped between two distances; where it was measured roughly, between wider ones. */
function addLeave(out: Likelihood, item: Item & { kind: 'leave' }, prior: Prior, rest: Float64Array, by: Float64Array) {
  const m = by.length;
  const { rate, byAngle, byDistance } = leaveParts(puttingAt(prior, rest, item.bands), item.ft, item.lo, item.hi);
  const p = Math.max(LEAST_P, rate);
  by.fill(0);
  spreadOver(prior, item.bands, byAngle / p, byDistance / p, by);
  out.value += item.n * Math.log(p);
  for (let i = 0; i < m; i++) {
    if (by[i] === 0) continue;
    out.byRest[i]! += item.n * by[i]!;
    for (let j = 0; j < m; j++) out.rest[i * m + j]! += item.n * by[i]! * by[j]!;
  }
}

function addMade(out: Likelihood, item: Item & { kind: 'made' }, prior: Prior, rest: Float64Array, by: Float64Array) {
  const own = puttingAt(prior, rest, item.bands);
  const parts = makeParts(own, item.ft);
  const finished = item.n[2] + item.n[3];
  addChance(out, parts, item.bands, prior, by, item.n[0], item.n[1] + finished);
  // That a missed putt is holed with the next says how near it stopped.
  if (finished > 0) {
    const { next, byAngle, byDistance } = afterMiss(own, item.ft);
    addChance(out, { rate: next, byAngle, byDistance }, item.bands, prior, by, item.n[2], item.n[3]);
  }
}

/** So many that came about and so many that did not, of something that both spreads decide. */
function addChance(
  out: Likelihood,
  { rate, byAngle, byDistance }: { rate: number; byAngle: number; byDistance: number },
  bands: Float64Array,
  prior: Prior,
  by: Float64Array,
  yes: number,
  no: number,
) {
  const m = by.length;
  const p = Math.min(1 - LEAST_P, Math.max(LEAST_P, rate));
  by.fill(0);
  spreadOver(prior, bands, byAngle, byDistance, by);
  const score = yes / p - no / (1 - p);
  const information = (yes + no) / (p * (1 - p));
  out.value += yes * Math.log(p) + no * Math.log(1 - p);
  for (let i = 0; i < m; i++) {
    if (by[i] === 0) continue;
    out.byRest[i]! += score * by[i]!;
    for (let j = 0; j < m; j++) out.rest[i * m + j]! += information * by[i]! * by[j]!;
  }
}

/**
 * Where a ball that was not holed may stop, as parts of the logarithm of the distance in metres: putts from anywhere in a
 * part count as from its middle.
 */
const PARTS = 34;
const PARTS_FROM = Math.log(0.08);
const PART = 0.2;

/** The player's own putting over the parts: how often a putt is holed, and how that moves with each spread. */
type Putting = { bands: readonly Float64Array[]; rate: Float64Array; byAngle: Float64Array; byDistance: Float64Array };

const bandsOfParts = new WeakMap<Prior, Float64Array[]>();

function puttingOver(prior: Prior, rest: Float64Array): Putting {
  let bands = bandsOfParts.get(prior);
  if (!bands) bandsOfParts.set(prior, (bands = Array.from({ length: PARTS }, (_, i) => prior.bandsAt(middleOf(i)))));
  const putting = { bands, rate: new Float64Array(PARTS), byAngle: new Float64Array(PARTS), byDistance: new Float64Array(PARTS) };
  for (let i = 0; i < PARTS; i++) {
    const { rate, byAngle, byDistance } = makeParts(puttingAt(prior, rest, bands[i]!), middleOf(i) / METRES_PER.ft);
    putting.rate[i] = rate;
    putting.byAngle[i] = byAngle;
    putting.byDistance[i] = byDistance;
  }
  return putting;
}

const middleOf = (part: number) => Math.exp(PARTS_FROM + (part + 0.5) * PART);

/**
 * Strokes to hole out: 1, 2, or more. Two are a ball that was not holed and a putt that was, by the player's own putting:
 * P(2) = Σ q·P(made), with q the chance of stopping in a part beyond the cap.
 */
function addStrokes(
  out: Likelihood,
  item: Item & { kind: 'strokes' },
  prior: Prior,
  delta: number,
  s: number,
  putting: Putting,
  by: Float64Array,
) {
  const m = by.length;
  const mu = item.mu + delta;
  const cap = (item.logCap - mu) / s;
  const holed = normalCdf(cap);
  const [holedByMu, holedByS] = [-density(cap) / s, -density(cap) * cap];
  by.fill(0);
  let [made, madeByMu, madeByS] = [0, 0, 0];
  let [low, under, thick] = [cap, holed, density(cap)];
  for (let i = Math.max(0, Math.floor((Math.max(item.logCap, mu - FAR * s) - PARTS_FROM) / PART)); i < PARTS && low < FAR; i++) {
    const high = (PARTS_FROM + (i + 1) * PART - mu) / s;
    if (high <= low) continue;
    const [over, thin] = [normalCdf(high), density(high)];
    const q = over - under;
    made += q * putting.rate[i]!;
    madeByMu += ((thick - thin) / s) * putting.rate[i]!;
    madeByS += (low * thick - high * thin) * putting.rate[i]!;
    spreadOver(prior, putting.bands[i]!, q * putting.byAngle[i]!, q * putting.byDistance[i]!, by);
    [low, under, thick] = [high, over, thin];
  }
  const p = [Math.max(LEAST_P, holed), Math.max(LEAST_P, made), Math.max(LEAST_P, 1 - holed - made)];
  const byMu = [holedByMu, madeByMu, -holedByMu - madeByMu];
  const byS = [holedByS, madeByS, -holedByS - madeByS];
  const total = item.n[0] + item.n[1] + item.n[2];
  // One putt more or less moves the second and the third chance by as much, in opposite directions.
  const [scoreBy, informationBy] = [item.n[1] / p[1]! - item.n[2] / p[2]!, total * (1 / p[1]! + 1 / p[2]!)];
  const crossMu = total * (byMu[1]! / p[1]! - byMu[2]! / p[2]!);
  const crossS = total * (byS[1]! / p[1]! - byS[2]! / p[2]!);
  for (let c = 0; c < 3; c++) {
    out.value += item.n[c]! * Math.log(p[c]!);
    out.byCell[item.cell]! += (item.n[c]! / p[c]!) * byMu[c]!;
    out.cells[item.cell]! += (total / p[c]!) * byMu[c]! ** 2;
    out.byRest[0]! += (item.n[c]! / p[c]!) * byS[c]!;
    out.cross[item.cell * m]! += (total / p[c]!) * byMu[c]! * byS[c]!;
    out.rest[0]! += (total / p[c]!) * byS[c]! ** 2;
  }
  for (let i = 1; i < m; i++) {
    const one = by[i]!;
    if (one === 0) continue;
    out.byRest[i]! += scoreBy * one;
    out.cross[item.cell * m + i]! += crossMu * one;
    out.rest[i]! += crossS * one;
    out.rest[i * m]! += crossS * one;
    for (let j = 1; j < m; j++) out.rest[i * m + j]! += informationBy * one * by[j]!;
  }
}
