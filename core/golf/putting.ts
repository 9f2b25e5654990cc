import { normalCdf, normalQuantile } from '../math/normal';
import { along, type Curve } from '../math/piecewise';

/** How well somebody putts: the spread of the direction (radians) and of the length (a fraction of it). */
export type PuttingSkill = { angle: number; distance: number };

/**
 * How far from its middle the hole still takes a ball, how far past it the ball is aimed to stop, and how far past it would still
 * drop; feet. Of a ball that would roll a foot past, on a green of 10 on the stimpmeter, the hole takes what passes within .8 of its
 * radius: B. W. Holmes, American Journal of Physics 59 (1991).
 * Source of the model: A. Gelman and D. Nolan, "A probability model for golf putting", Teaching Statistics 24 (2002);
 * the distance term is from Gelman's later case study.
 */
const REACH_FT = (0.8 * 2.125) / 12;
export const OVER_FT = 1;
export const TOLERANCE_FT = 3;

/** How far off line, in radians, a putt from `ft` feet may start and still drop. */
export function dropsWithin(ft: number): number {
  return ft <= REACH_FT ? Math.PI / 2 : Math.asin(REACH_FT / ft);
}

/** The logarithms of the two spreads by level: of tour players, scratch amateurs and players who shoot about 90; beyond 18 judgements. */
const logs = (points: Curve): Curve => points.map(([level, spread]) => [level, Math.log(spread)]);
const ANGLE = logs([
  [-5, 0.022],
  [0, 0.0269],
  [18, 0.0321],
  [28, 0.0361],
  [54, 0.045],
]);
const DISTANCE = logs([
  [-5, 0.092],
  [0, 0.097],
  [18, 0.154],
  [28, 0.172],
  [54, 0.23],
]);

/** All that is judged here, for the version of the model. */
export const PUTTING_CONSTANTS = [REACH_FT, OVER_FT, TOLERANCE_FT, ANGLE, DISTANCE] as const;

/**
 * How the players of a level putt: −5 a tour player, 0 a scratch amateur, 18 somebody who shoots about 90. The spreads are
 * those with which the published make rates come out (docs/model.md), read between levels and on beyond them in their logarithms.
 */
export function referencePutting(level: number): PuttingSkill {
  return { angle: Math.exp(along(ANGLE, level)), distance: Math.exp(along(DISTANCE, level)) };
}

/** Parts of the make probability at `ft` feet: on line, short of the hole, too long to drop. */
function chances({ angle, distance }: PuttingSkill, ft: number) {
  const widest = dropsWithin(ft);
  const spread = (ft + OVER_FT) * distance;
  return {
    widest,
    onLine: 2 * normalCdf(widest / angle) - 1,
    short: normalCdf(-OVER_FT / spread),
    long: normalCdf(-(TOLERANCE_FT - OVER_FT) / spread),
  };
}

/**
 * Probability of holing a putt: the direction is good enough, and so is the length.
 * @param ft distance in feet, more than 0
 */
export function makeRate(skill: PuttingSkill, ft: number): number {
  const { onLine, short, long } = chances(skill, ft);
  return onLine * (1 - short - long);
}

const density = (z: number) => Math.exp((-z * z) / 2) / Math.sqrt(2 * Math.PI);

/** The probability of holing a putt, and how it changes with the logarithm of either spread. */
export function makeParts({ angle, distance }: PuttingSkill, ft: number): { rate: number; byAngle: number; byDistance: number } {
  const line = dropsWithin(ft) / angle;
  const spread = (ft + OVER_FT) * distance;
  const [past, before] = [(TOLERANCE_FT - OVER_FT) / spread, OVER_FT / spread];
  const onLine = 2 * normalCdf(line) - 1;
  const rightLength = normalCdf(past) - normalCdf(-before);
  return {
    rate: onLine * rightLength,
    byAngle: -2 * density(line) * line * rightLength,
    byDistance: -onLine * (density(past) * past + density(before) * before),
  };
}

/** Places across the line that stand for all of them, where a leave is looked at. */
const ACROSS = 10;
/** Farther out, in standard deviations, no ball stops. */
const FAR = 4.5;

/**
 * The probability that a putt from `ft` feet is missed and stops between `lo` and `hi` feet from the hole, and how it
 * changes with the logarithm of either spread. Where it stops is normal along the line about a foot past, and across it;
 * balls that would have stopped in there but dropped on the way are taken off.
 */
export function leaveParts({ angle, distance }: PuttingSkill, ft: number, lo: number, hi: number) {
  const along = (ft + OVER_FT) * distance;
  const across = ft * angle;
  const [out, near] = [inside(along, across, hi), inside(along, across, lo)];
  const line = dropsWithin(ft) / angle;
  const onLine = 2 * normalCdf(line) - 1;
  const [from, to] = [Math.min(lo, TOLERANCE_FT), Math.min(hi, TOLERANCE_FT)].map((end) => (end - OVER_FT) / along) as [number, number];
  const dropped = normalCdf(to) - normalCdf(from);
  return {
    rate: out.p - near.p - onLine * dropped,
    byAngle: out.byAcross - near.byAcross + 2 * density(line) * line * dropped,
    byDistance: out.byAlong - near.byAlong + onLine * (density(to) * to - density(from) * from),
  };
}

/** The probability of stopping within `radius` feet of the hole, with its slopes in the logarithms of both spreads. */
function inside(along: number, across: number, radius: number): { p: number; byAlong: number; byAcross: number } {
  if (radius <= 0) return { p: 0, byAlong: 0, byAcross: 0 };
  if (radius > OVER_FT + FAR * (along + across)) return { p: 1, byAlong: 0, byAcross: 0 };
  const widest = Math.asin(Math.min(1, (FAR * across) / radius));
  const step = widest / ACROSS;
  let [p, byAlong, byAcross] = [0, 0, 0];
  for (let n = 0; n < ACROSS; n++) {
    const t = (n + 0.5) * step;
    const [side, chord] = [(radius * Math.sin(t)) / across, radius * Math.cos(t)];
    // Both sides of the line.
    const weight = (2 * step * chord * density(side)) / across;
    const [short, long] = [(-chord - OVER_FT) / along, (chord - OVER_FT) / along];
    const part = normalCdf(long) - normalCdf(short);
    p += weight * part;
    byAlong += weight * (density(short) * short - density(long) * long);
    byAcross += weight * part * (side * side - 1);
  }
  return { p, byAlong, byAcross };
}

/** Slices of a normal spread between two probabilities: the quantiles in the middle of `n` equally likely parts. */
function slices(from: number, to: number, n: number): Float64Array {
  const middles = new Float64Array(n);
  for (let i = 0; i < n; i++) middles[i] = normalQuantile(Math.min(1 - 1e-15, Math.max(1e-300, from + ((i + 0.5) / n) * (to - from))));
  return middles;
}

const GRID_FROM_FT = 0.1;
const GRID_TO_FT = 200;
const GRID_POINTS = 90;
const GRID_STEP = Math.log(GRID_TO_FT / GRID_FROM_FT) / (GRID_POINTS - 1);

/**
 * Expected putts to hole out, as a function of the distance in feet. The next putt starts where a missed one stopped,
 * so the function is the fixed point of E(x) = 1 + Σ p(leave)·E(leave): solved on a logarithmic grid from 0.1 to
 * 200 ft by sweeps outwards, the leave by quadrature over direction and length. Within 0.003 of simulated putts.
 */
export function expectedPutts(skill: PuttingSkill): (ft: number) => number {
  const at = Array.from({ length: GRID_POINTS }, (_, i) => GRID_FROM_FT * Math.exp(i * GRID_STEP));
  const value = Float64Array.from(at, (ft) => 1 + Math.min(1.5, ft / 20));

  /** A distance as a place on the grid, with what lies nearer than it reaches at its first point. */
  const placeOf = (ft: number) =>
    Math.min(GRID_POINTS - 1.000001, Math.max(0, Math.log(Math.max(GRID_FROM_FT, ft) / GRID_FROM_FT) / GRID_STEP));
  const read = (ft: number) => {
    if (ft <= 0) return 0;
    const place = placeOf(ft);
    const low = Math.floor(place);
    return value[low]! + (place - low) * (value[low + 1]! - value[low]!);
  };

  // Where each leave lies on the grid does not change from sweep to sweep.
  const leaves = at.map((ft) => leavesFrom(skill, ft, placeOf));
  for (let sweep = 0; sweep < 60; sweep++) {
    let moved = 0;
    for (let i = 0; i < leaves.length; i++) {
      const { p, place } = leaves[i]!;
      let next = 1;
      for (let n = 0; n < p.length; n++) {
        const low = place[n]! | 0;
        next += p[n]! * (value[low]! + (place[n]! - low) * (value[low + 1]! - value[low]!));
      }
      moved = Math.max(moved, Math.abs(next - value[i]!));
      value[i] = next;
    }
    if (moved < 1e-6) break;
  }
  return read;
}

/** The probability of missing a putt from `ft` feet and holing the next one, from where it stopped. */
export function nextPutt(skill: PuttingSkill, ft: number): number {
  const { p, place: leaves } = leavesFrom(skill, ft, (left) => Math.max(0.01, left));
  return p.reduce((sum, chance, n) => sum + chance * makeRate(skill, leaves[n]!), 0);
}

/** Where missed putts from `ft` feet stop, in feet from the hole, each with its probability; they add up to that of missing. */
export function leavesOf(skill: PuttingSkill, ft: number): { p: Float64Array; ft: Float64Array } {
  const { p, place } = leavesFrom(skill, ft, (left) => left);
  return { p, ft: place };
}

const ALL_LENGTHS = slices(0, 1, 24);

/**
 * Where missed putts from `ft` feet stop, as places on a grid, each with its probability; the probabilities add up to that
 * of missing.
 */
function leavesFrom(skill: PuttingSkill, ft: number, placeOf: (ft: number) => number): { p: Float64Array; place: Float64Array } {
  const { widest, onLine, short, long } = chances(skill, ft);
  const edge = normalCdf(widest / skill.angle);
  const parts = [
    { p: 1 - onLine, angles: slices(edge, 1, 12), lengths: ALL_LENGTHS },
    { p: onLine * short, angles: slices(0.5, edge, 4), lengths: slices(0, short, 12) },
    { p: onLine * long, angles: slices(0.5, edge, 4), lengths: slices(1 - long, 1, 12) },
  ].filter((part) => part.p > 1e-12);
  const size = parts.reduce((sum, { angles, lengths }) => sum + angles.length * lengths.length, 0);
  const all = { p: new Float64Array(size), place: new Float64Array(size) };
  let n = 0;
  for (const { p, angles, lengths } of parts)
    for (const a of angles) {
      const cosine = Math.cos(Math.min(a * skill.angle, Math.PI));
      for (const l of lengths) {
        const rolled = Math.max(0, (ft + OVER_FT) * (1 + skill.distance * l));
        all.p[n] = p / (angles.length * lengths.length);
        all.place[n++] = placeOf(Math.sqrt(rolled * rolled + ft * ft - 2 * rolled * ft * cosine));
      }
    }
  return all;
}
