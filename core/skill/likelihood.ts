import { METRES_PER } from '../units/length';
import type { BallGroup } from './groups';
import { LANDED, landingShare, LANDS_ANYWHERE, ownLanding } from './landing';
import { addPutting, landingAt, puttingOf, restSize, SPREAD } from './parameters';
import type { LevelCurve, Prior } from './prior';
import { afterMiss } from './putters';
import { leaveParts, makeParts } from '../golf/putting';
import { ANYWHERE, anywhereInside, anywhereMoment, blunted, insideAt, momentOf, steepness, type Inside } from './shape';

/**
 * What the parameters of a player make of the evidence. They stand in one list, as `parameters.ts`
 * names them: δ of each cell off the green, then the rest.
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

/** What the level says of a place off the green, the lie included, and how far it is, in metres. */
type LevelPlace = LevelCurve & { cell: number; distanceM: number };

/** So many balls that stopped between two distances, as logarithms, measured so roughly; `anywhere`: of balls that end anywhere, the share there. */
type Between = { logLo: number; logHi: number; blur: number; anywhere: number; n: number };
/** So many missed putts that stopped between two distances, in feet, with what is kept at hand of that. */
type Stopped = { lo: number; hi: number; nodes: Float64Array; n: number };

/** Evidence of one kind from one place, with its outcomes together: what a fit goes through again and again. */
export type Item =
  | (LevelPlace & { kind: 'between'; outcomes: Between[] })
  | (LevelPlace & { kind: 'holed'; n: number })
  | (LevelPlace & { kind: 'mean'; left: number; balls: number; blur: number; n: number })
  | (LevelPlace & { kind: 'strokes'; anywhere: Float64Array; n: [number, number, number] })
  | (LevelPlace & { kind: 'landed'; logLo: number; logHi: number; steep: number; own: number; n: number })
  /** Where putts that were missed stopped. */
  | { kind: 'leave'; ft: number; bands: Float64Array; outcomes: Stopped[] }
  /** Putts from one place: made and missed; and of those that were missed the next one made and missed. */
  | { kind: 'made'; ft: number; bands: Float64Array; n: [number, number, number, number] };

const LEAST_P = 1e-12;

/**
 * Groups with what the level says of their places; groups of cells that are not among the prior's say nothing.
 * @param placeOf where each cell off the green stands in the list of parameters; without it as among the prior's
 */
export function itemsOf(groups: readonly BallGroup[], prior: Prior, placeOf?: Int32Array): Item[] {
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
  for (const group of groups) {
    const { cell: name, kind, distanceM, lo, hi, blur, value, lie, n } = group;
    if (kind === 'made' || kind === 'putted' || kind === 'leave') {
      const bands = prior.bandsAt(distanceM);
      const item = joined(`made|${distanceM}`, () => ({
        kind: 'made' as const,
        ft: distanceM / METRES_PER.ft,
        bands,
        n: [0, 0, 0, 0] as [number, number, number, number],
      }));
      item.n[kind === 'made' && value === 1 ? 0 : 1]! += n;
      if (kind === 'putted') item.n[value]! += group.nAfter ?? n;
      if (kind !== 'leave') continue;
      const [near, far] = [(lo * Math.exp(-blur)) / METRES_PER.ft, (hi * Math.exp(blur)) / METRES_PER.ft];
      joined(`leave|${distanceM}`, () => ({ kind, ft: item.ft, bands, outcomes: [] as Stopped[] })).outcomes.push({
        ...{ lo: near, hi: far, nodes: nodesOf(prior, item.ft, near, far) },
        n: group.nAfter ?? n,
      });
      continue;
    }
    const of = index.get(name);
    if (of === undefined || of >= prior.offGreen) continue;
    const cell = placeOf ? placeOf[of]! : of;
    const { mu, logCap, luck } = prior.at(of, distanceM);
    const place = { cell, mu: mu + lie, logCap, luck, distanceM };
    if (kind === 'between') {
      const anywhere = anywhereInside(hi, distanceM) - anywhereInside(lo, distanceM);
      joined(`between|${cell}|${distanceM}|${lie}`, () => ({ ...place, kind, outcomes: [] as Between[] })).outcomes.push({
        ...{ logLo: Math.log(lo), logHi: Math.log(hi), blur, anywhere, n },
      });
    } else if (kind === 'holed') joined(`holed|${cell}|${distanceM}|${lie}`, () => ({ ...place, kind, n: 0 })).n += n;
    else if (kind === 'mean') items.push({ ...place, kind, left: lo, balls: value, blur, n });
    else if (kind === 'landed' || kind === 'along') {
      const share = landingShare(distanceM, group.spotM);
      const { steepness: steep, nearer } = LANDED[kind === 'landed' ? 'circle' : 'along'];
      const landing = { ...place, mu: place.mu + Math.log(share) + nearer };
      items.push({ ...landing, kind: 'landed', logLo: Math.log(lo), logHi: Math.log(hi), steep, own: ownLanding(share), n });
    } else
      joined(`strokes|${cell}|${distanceM}|${lie}`, () => ({
        ...place,
        kind: 'strokes' as const,
        anywhere: anywhereOver(distanceM),
        n: [0, 0, 0] as [number, number, number],
      })).n[value - 1]! += n;
  }
  // Where one ends the next begins: its edge need not be worked out again.
  for (const item of items) if (item.kind === 'between') item.outcomes.sort((a, b) => a.blur - b.blur || a.logLo - b.logLo);
  return items;
}

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
  const spread = rest[SPREAD]!;
  const steep = steepness(spread);
  const putting = items.some(({ kind }) => kind === 'strokes') ? puttingOver(prior, rest) : null;
  const by = new Float64Array(m);
  for (const item of items) {
    if (item.kind === 'between') addBetween(out, item, delta[item.cell]!, steep);
    else if (item.kind === 'holed') addHoled(out, item, delta[item.cell]!, steep);
    else if (item.kind === 'mean') addMean(out, item, delta[item.cell]!, spread, m);
    else if (item.kind === 'landed') addLanded(out, item, delta[item.cell]!, rest[landingAt(prior.bands)]!, m);
    else if (item.kind === 'leave') addLeave(out, item, prior, rest, by);
    else if (item.kind === 'made') addMade(out, item, prior, rest, by);
    else addStrokes(out, item, prior, delta[item.cell]!, steep, putting!, by);
  }
  return out;
}

/** A share of balls with its slopes in the middle and in the spread, and how the first bends: at one edge. */
type Edge = { share: number; byMu: number; byS: number; bend: number };
const edge = (): Edge => ({ share: 0, byMu: 0, byS: 0, bend: 0 });
const scratch: Inside = { share: 0, slope: 0, bend: 0 };
/** Edges are looked at by the hundred thousand, and none is kept: they are written into these. */
const [NEAR, FAR, HOLED] = [edge(), edge(), edge()];

/** The share of balls that came off inside e^`log` metres of the hole. */
function edgeAt(log: number, mu: number, steep: number, into: Edge): Edge {
  if (log === -Infinity) {
    into.share = into.byMu = into.byS = into.bend = 0;
    return into;
  }
  const z = steep * (log - mu);
  const { share, slope, bend } = insideAt(z, scratch);
  into.share = share;
  into.byMu = -steep * slope;
  into.byS = slope === 0 ? 0 : -z * slope;
  into.bend = steep * steep * bend;
  return into;
}

/** How many are holed: as many as would stop under the cap. It is mostly luck, so the others stop as they would. */
function holedAt({ mu, logCap, luck }: LevelPlace, delta: number, steep: number): Edge {
  const came = 1 - ANYWHERE;
  const holed = edgeAt(logCap, mu + delta, steep, HOLED);
  holed.share = came * holed.share + ANYWHERE * luck;
  holed.byMu *= came;
  holed.byS *= came;
  holed.bend *= came;
  return holed;
}

function addBetween(out: Likelihood, item: Item & { kind: 'between' }, delta: number, own: number) {
  const mu = item.mu + delta;
  const holed = holedAt(item, delta, own);
  const rest = 1 - holed.share;
  const [logRest, holedByMu, holedByS] = [Math.log(rest), holed.byMu / rest, holed.byS / rest];
  const came = 1 - ANYWHERE;
  let [near, far] = [NEAR, FAR];
  let [blur, to, left, steep] = [NaN, NaN, 1, own];
  let [value, byCell, bySpread, cells, spreads] = [0, 0, 0, 0, 0];
  for (const outcome of item.outcomes) {
    const { logLo, logHi, anywhere, n } = outcome;
    if (outcome.blur !== blur) {
      ({ blur } = outcome);
      left = blunted(own, blur);
      steep = own * Math.sqrt(left);
      to = NaN;
    }
    [near, far] = [far, near];
    if (logLo !== to) edgeAt(logLo, mu, steep, near);
    edgeAt(logHi, mu, steep, far);
    to = logHi;
    const p = Math.max(LEAST_P, came * (far.share - near.share) + ANYWHERE * anywhere);
    const pByMu = (came * (far.byMu - near.byMu)) / p;
    const byS = (came * left * (far.byS - near.byS)) / p - holedByS;
    value += n * (Math.log(p) + logRest);
    byCell += n * (pByMu - holedByMu);
    bySpread += n * byS;
    // The shape is concave in its logarithm; what may lie anywhere says nothing, never less. For the spread, the square of the score.
    cells += n * Math.max(0, pByMu * pByMu - (came * (far.bend - near.bend)) / p);
    spreads += n * byS * byS;
  }
  out.value += value;
  out.byCell[item.cell]! += byCell;
  out.byRest[SPREAD]! += bySpread;
  out.cells[item.cell]! += cells;
  out.rest[SPREAD]! += spreads;
}

/** A ball in the hole. */
function addHoled(out: Likelihood, item: Item & { kind: 'holed' }, delta: number, steep: number) {
  const { share, byMu, byS } = holedAt(item, delta, steep);
  const p = Math.max(LEAST_P, share);
  out.value += item.n * Math.log(p);
  out.byCell[item.cell]! += (item.n * byMu) / p;
  out.byRest[SPREAD]! += (item.n * byS) / p;
  // Near the hole the chance is a power of the middle: its logarithm is straight, and one more of them narrows nothing.
  out.rest[SPREAD]! += item.n * (byS / p) ** 2;
}

/** The mean of several balls that were not holed: about normal, with the mean and the variance that the shape has. */
function addMean(out: Likelihood, item: Item & { kind: 'mean' }, delta: number, spread: number, m: number) {
  const STEP = 1e-4;
  const at = (byMu: number, byS: number) => {
    const steep = steepness(spread + byS);
    const middle = Math.exp(item.mu + delta + byMu);
    const mean = (1 - ANYWHERE) * middle * momentOf(1, steep) + ANYWHERE * item.distanceM * anywhereMoment(1);
    const square = (1 - ANYWHERE) * middle * middle * momentOf(2, steep) + ANYWHERE * item.distanceM ** 2 * anywhereMoment(2);
    return { mean, variance: (square - mean * mean + (item.blur * mean) ** 2) / item.balls };
  };
  const logP = ({ mean, variance }: { mean: number; variance: number }) =>
    -0.5 * Math.log(2 * Math.PI * variance) - (item.left - mean) ** 2 / (2 * variance);
  const here = at(0, 0);
  const slopes = (
    [
      [STEP, 0],
      [0, STEP],
    ] as const
  ).map(([u, v]) => {
    const [up, down] = [at(u, v), at(-u, -v)];
    return {
      score: (logP(up) - logP(down)) / (2 * STEP),
      mean: (up.mean - down.mean) / (2 * STEP),
      variance: (up.variance - down.variance) / (2 * STEP),
    };
  });
  const [byMu, byS] = slopes as [(typeof slopes)[0], (typeof slopes)[0]];
  const information = (a: typeof byMu, b: typeof byMu) =>
    (a.mean * b.mean) / here.variance + (a.variance * b.variance) / (2 * here.variance ** 2);
  out.value += item.n * logP(here);
  out.byCell[item.cell]! += item.n * byMu.score;
  out.byRest[SPREAD]! += item.n * byS.score;
  out.cells[item.cell]! += item.n * information(byMu, byMu);
  out.cross[item.cell * m + SPREAD]! += item.n * information(byMu, byS);
  out.rest[SPREAD]! += item.n * information(byS, byS);
}

/** How far from its spot a ball landed: what it leaves tells of that, and so does landing, a skill of its own. */
function addLanded(out: Likelihood, item: Item & { kind: 'landed' }, delta: number, landing: number, m: number) {
  const mu = item.mu + delta + item.own * landing;
  const near = edgeAt(item.logLo, mu, item.steep, NEAR);
  const far = edgeAt(item.logHi, mu, item.steep, FAR);
  const came = 1 - LANDS_ANYWHERE;
  const p = Math.max(LEAST_P, came * (far.share - near.share) + (item.logHi === Infinity ? LANDS_ANYWHERE : 0));
  const byMu = (came * (far.byMu - near.byMu)) / p;
  const information = item.n * Math.max(0, byMu * byMu - (came * (far.bend - near.bend)) / p);
  out.value += item.n * Math.log(p);
  out.byCell[item.cell]! += item.n * byMu;
  const at = m - 1;
  out.byRest[at]! += item.n * item.own * byMu;
  out.cells[item.cell]! += information;
  out.cross[item.cell * m + at]! += item.own * information;
  out.rest[at * m + at]! += item.own ** 2 * information;
}

/**
 * Where a missed putt stopped: between two distances; where it was measured roughly, between wider ones. It tells of the pace
 * alone, with the level's line: how wide putts stop that miss says little of how often they drop.
 */
function addLeave(out: Likelihood, item: Item & { kind: 'leave' }, prior: Prior, rest: Float64Array, by: Float64Array) {
  const m = by.length;
  const pace = Math.log(puttingOf(prior, rest, item.bands).distance / prior.putting.distance);
  by.fill(0);
  addPutting(prior.bands, item.bands, 0, 1, by);
  let [score, information] = [0, 0];
  for (const outcome of item.outcomes) {
    const { value, slope } = stoppedAt(item.ft, outcome, prior, pace);
    out.value += outcome.n * value;
    score += outcome.n * slope;
    information += outcome.n * slope * slope;
  }
  for (let i = 0; i < m; i++) {
    if (by[i] === 0) continue;
    out.byRest[i]! += score * by[i]!;
    for (let j = 0; j < m; j++) out.rest[i * m + j]! += information * by[i]! * by[j]!;
  }
}

/** Paces at which a stop is kept at hand, as logarithms against the level's; between them it is read by cubics. */
const [PACE_FROM, PACE_STEP, PACES] = [-1.5, 0.15, 21];
const stops = new WeakMap<Prior, Map<string, Float64Array>>();
const MOST_STOPS = 5000;

/** What is kept at hand of a stop: at each pace the logarithm of its chance and its slope, or NaN as long as nobody asked. */
function nodesOf(prior: Prior, ft: number, lo: number, hi: number): Float64Array {
  let known = stops.get(prior);
  if (!known) stops.set(prior, (known = new Map()));
  const key = `${ft}|${lo}|${hi}`;
  let nodes = known.get(key);
  if (!nodes) {
    if (known.size > MOST_STOPS) known.clear();
    known.set(key, (nodes = new Float64Array(2 * PACES).fill(NaN)));
  }
  return nodes;
}

/** The logarithm of the chance that a missed putt stopped where it did, and its slope in the logarithm of the pace. */
function stoppedAt(ft: number, { lo, hi, nodes }: Stopped, prior: Prior, pace: number): { value: number; slope: number } {
  const place = Math.min(PACES - 1.000001, Math.max(0, (pace - PACE_FROM) / PACE_STEP));
  const low = Math.floor(place);
  for (const at of [low, low + 1])
    if (Number.isNaN(nodes[2 * at]!)) {
      const plain = { angle: prior.putting.angle, distance: prior.putting.distance * Math.exp(PACE_FROM + at * PACE_STEP) };
      const [all, here] = [makeParts(plain, ft), leaveParts(plain, ft, lo, hi)];
      const [p, missed] = [Math.max(LEAST_P, here.rate), Math.max(LEAST_P, 1 - all.rate)];
      nodes[2 * at] = Math.log(p) - Math.log(missed);
      nodes[2 * at + 1] = here.byDistance / p + all.byDistance / missed;
    }
  const [a, da, b, db] = [nodes[2 * low]!, nodes[2 * low + 1]! * PACE_STEP, nodes[2 * low + 2]!, nodes[2 * low + 3]! * PACE_STEP];
  const t = place - low;
  const [c, d] = [3 * (b - a) - 2 * da - db, 2 * (a - b) + da + db];
  return { value: a + t * (da + t * (c + t * d)), slope: (da + t * (2 * c + t * 3 * d)) / PACE_STEP };
}

function addMade(out: Likelihood, item: Item & { kind: 'made' }, prior: Prior, rest: Float64Array, by: Float64Array) {
  const own = puttingOf(prior, rest, item.bands);
  const parts = makeParts(own, item.ft);
  addChance(out, parts, item.bands, prior, by, item.n[0], item.n[1]);
  // That a missed putt is holed with the next says how near it stopped.
  if (item.n[2] + item.n[3] > 0) {
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
  addPutting(prior.bands, bands, byAngle, byDistance, by);
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

/** Of balls that end anywhere, the share in each part. */
function anywhereOver(distanceM: number): Float64Array {
  return Float64Array.from({ length: PARTS }, (_, i) => {
    const edge = (at: number) => anywhereInside(Math.exp(PARTS_FROM + at * PART), distanceM);
    return (i === PARTS - 1 ? 1 : edge(i + 1)) - (i === 0 ? 0 : edge(i));
  });
}

/** The player's own putting over the parts: how often a putt is holed, and how that moves with each spread. */
type Putting = { bands: readonly Float64Array[]; rate: Float64Array; byAngle: Float64Array; byDistance: Float64Array };

const bandsOfParts = new WeakMap<Prior, Float64Array[]>();

function puttingOver(prior: Prior, rest: Float64Array): Putting {
  let bands = bandsOfParts.get(prior);
  if (!bands) bandsOfParts.set(prior, (bands = Array.from({ length: PARTS }, (_, i) => prior.bandsAt(middleOf(i)))));
  const putting = { bands, rate: new Float64Array(PARTS), byAngle: new Float64Array(PARTS), byDistance: new Float64Array(PARTS) };
  for (let i = 0; i < PARTS; i++) {
    const { rate, byAngle, byDistance } = makeParts(puttingOf(prior, rest, bands[i]!), middleOf(i) / METRES_PER.ft);
    putting.rate[i] = rate;
    putting.byAngle[i] = byAngle;
    putting.byDistance[i] = byDistance;
  }
  return putting;
}

const middleOf = (part: number) => Math.exp(PARTS_FROM + (part + 0.5) * PART);

/**
 * Strokes to hole out: 1, 2, or more. Two are a ball that was not holed and a putt that was, by the player's own putting:
 * P(2) = (1 − P(1)) · Σ q·P(made), with q the chance of stopping in a part.
 */
function addStrokes(
  out: Likelihood,
  item: Item & { kind: 'strokes' },
  prior: Prior,
  delta: number,
  steep: number,
  putting: Putting,
  by: Float64Array,
) {
  const m = by.length;
  const mu = item.mu + delta;
  const holed = holedAt(item, delta, steep);
  by.fill(0);
  let [sum, sumByMu, sumByS] = [0, 0, 0];
  let near = edgeAt(-Infinity, mu, steep, NEAR);
  let far = FAR;
  for (let i = 0; i < PARTS; i++) {
    edgeAt(i === PARTS - 1 ? Infinity : PARTS_FROM + (i + 1) * PART, mu, steep, far);
    const q = (1 - ANYWHERE) * (far.share - near.share) + ANYWHERE * item.anywhere[i]!;
    sum += q * putting.rate[i]!;
    sumByMu += (1 - ANYWHERE) * (far.byMu - near.byMu) * putting.rate[i]!;
    sumByS += (1 - ANYWHERE) * (far.byS - near.byS) * putting.rate[i]!;
    addPutting(
      prior.bands,
      putting.bands[i]!,
      (1 - holed.share) * q * putting.byAngle[i]!,
      (1 - holed.share) * q * putting.byDistance[i]!,
      by,
    );
    const passed = near;
    near = far;
    far = passed;
  }
  const made = (1 - holed.share) * sum;
  const madeByMu = (1 - holed.share) * sumByMu - holed.byMu * sum;
  const madeByS = (1 - holed.share) * sumByS - holed.byS * sum;
  const p = [Math.max(LEAST_P, holed.share), Math.max(LEAST_P, made), Math.max(LEAST_P, 1 - holed.share - made)];
  const byMu = [holed.byMu, madeByMu, -holed.byMu - madeByMu];
  const byS = [holed.byS, madeByS, -holed.byS - madeByS];
  const total = item.n[0] + item.n[1] + item.n[2];
  // One putt more or less moves the second and the third chance by as much, in opposite directions.
  const [scoreBy, informationBy] = [item.n[1] / p[1]! - item.n[2] / p[2]!, total * (1 / p[1]! + 1 / p[2]!)];
  const crossMu = total * (byMu[1]! / p[1]! - byMu[2]! / p[2]!);
  const crossS = total * (byS[1]! / p[1]! - byS[2]! / p[2]!);
  for (let c = 0; c < 3; c++) {
    out.value += item.n[c]! * Math.log(p[c]!);
    out.byCell[item.cell]! += (item.n[c]! / p[c]!) * byMu[c]!;
    out.cells[item.cell]! += (total / p[c]!) * byMu[c]! ** 2;
    out.byRest[SPREAD]! += (item.n[c]! / p[c]!) * byS[c]!;
    out.cross[item.cell * m + SPREAD]! += (total / p[c]!) * byMu[c]! * byS[c]!;
    out.rest[SPREAD]! += (total / p[c]!) * byS[c]! ** 2;
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
