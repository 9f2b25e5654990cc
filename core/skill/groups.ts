import type { Measure, Sit, Stance } from '../golf/words';
import { isEvidence } from '../shot/evidence';
import { withFinishing } from '../shot/finishing';
import type { Shot } from '../shot/shot';
import { cellKey } from './simulate';

/**
 * Evidence as the model takes it: how many balls of one kind of record from one place say the same. A fit costs as much
 * as there are groups, not as there are balls.
 */
export type Group = {
  /** Key of the cell. */
  cell: string;
  /**
   * What is known: `between` two distances left (`hi` Infinity: outside), `holed`, `strokes` to hole out (1, 2, 3 for more),
   * a putt `made` (1) or missed (0), `landed` within so far of the spot (1) or not (0), the `mean` of several balls.
   */
  kind: 'between' | 'holed' | 'strokes' | 'made' | 'landed' | 'mean';
  /** From where, in metres. */
  distanceM: number;
  lo: number;
  hi: number;
  /** Log-SD by which the way of measuring blurs it. */
  blur: number;
  value: number;
  /** What sit and stance add to the logarithm of the distance left. */
  lie: number;
  /** Balls, each by its weight. */
  n: number;
};

/** By how much a way of measuring blurs a distance, as a standard deviation of its logarithm. A judgement. */
export const BLUR: Readonly<Record<Measure, number>> = { tape: 0.02, laser: 0.03, pace: 0.1, eye: 0.2, ring: 0 };

/** What a sit and a stance add to the logarithm of the distance left; cells are quoted clean and flat. A judgement. */
const SIT_COSTS: Readonly<Record<Sit, number>> = { clean: 0, up: 0.05, down: 0.18, buried: 0.45 };
const STANCE_COSTS: Readonly<Record<Stance, number>> = { flat: 0, uphill: 0.06, downhill: 0.14, ball_above: 0.08, ball_below: 0.1 };

/** Exact distances are sorted into bins: so many, log-spaced, in metres. */
const BINS = 56;
const BINS_FROM_M = 0.05;
const BINS_TO_M = 60;
const STEP = Math.log(BINS_TO_M / BINS_FROM_M) / BINS;

/** The bin of a distance left: its edges in metres. */
export function binOf(leftM: number): { lo: number; hi: number } {
  const bin = Math.min(BINS - 1, Math.max(0, Math.floor(Math.log(leftM / BINS_FROM_M) / STEP)));
  return { lo: BINS_FROM_M * Math.exp(bin * STEP), hi: BINS_FROM_M * Math.exp((bin + 1) * STEP) };
}

/** Stations a hand apart are one place. */
const PLACE_M = 0.25;

/** What one ball says about its cell; null where it says nothing. */
export function groupOf(shot: Shot): Omit<Group, 'n'> | null {
  if (!isEvidence(shot) || shot.distanceM <= 0) return null;
  const putt = shot.shotType === 'putt';
  const base = {
    cell: cellKey(shot.shotType, shot.surface, shot.distanceM),
    distanceM: Math.max(PLACE_M, Math.round(shot.distanceM / PLACE_M) * PLACE_M),
    lo: 0,
    hi: 0,
    blur: 0,
    value: 0,
    lie: putt ? 0 : SIT_COSTS[shot.sit] + STANCE_COSTS[shot.stance],
  };
  // A struck peg is a score, not a holed ball: of a ball at a peg only that it was near is known.
  if (shot.holed && shot.target === 'peg') return putt ? null : { ...base, kind: 'between', lo: 0, hi: 0.3 };
  if (putt) {
    const missed = shot.leftM !== null || shot.leftMinM !== null || (shot.strokes ?? 0) > 1;
    return shot.holed || missed ? { ...base, kind: 'made', value: shot.holed ? 1 : 0 } : null;
  }
  if (shot.holed) return { ...base, kind: 'holed' };
  if (shot.nBalls > 1 && shot.sumLeftM !== null)
    return { ...base, kind: 'mean', lo: Math.max(0.05, shot.sumLeftM / shot.nBalls), value: shot.nBalls, blur: BLUR[shot.measured] };
  if (shot.leftM !== null) return { ...base, kind: 'between', ...binOf(shot.leftM), blur: BLUR[shot.measured] };
  if (shot.leftMinM !== null || shot.leftMaxM !== null)
    return { ...base, kind: 'between', lo: shot.leftMinM ?? 0, hi: shot.leftMaxM ?? Infinity };
  if (shot.strokes !== null) return { ...base, kind: 'strokes', value: Math.min(3, shot.strokes) };
  return null;
}

const DAY_MS = 86_400_000;

/** How much a ball of some age counts: half as much after each half-life; all alike without one. */
export function weightOf(ageMs: number, halfLifeDays: number | null): number {
  return halfLifeDays === null ? 1 : 2 ** (-Math.max(0, ageMs) / (halfLifeDays * DAY_MS));
}

/**
 * Balls sorted into groups, the putts inside records of strokes included.
 * @param asOf the moment at which ages are counted; balls after it are left out
 */
export function groupsOf(shots: readonly Shot[], asOf: Date, halfLifeDays: number | null): Group[] {
  const groups = new Map<string, Group>();
  for (const shot of withFinishing(shots)) {
    const ageMs = asOf.getTime() - Date.parse(shot.playedAt);
    const one = ageMs < 0 ? null : groupOf(shot);
    if (one) addTo(groups, one, weightOf(ageMs, halfLifeDays));
  }
  return [...groups.values()];
}

/** Adds so many balls to the group that says what they say. */
export function addTo(groups: Map<string, Group>, one: Omit<Group, 'n'>, n: number): void {
  const { cell, kind, distanceM, lo, hi, blur, value, lie } = one;
  const key = `${cell}|${kind}|${distanceM}|${lo}|${hi}|${blur}|${value}|${lie}`;
  const held = groups.get(key);
  if (held) held.n += n;
  else groups.set(key, { ...one, n });
}
