import { isPutt } from '../golf/shot-types';
import { BLUR } from '../golf/blur';
import type { Sit, Stance } from '../golf/words';
import { isEvidence } from '../shot/evidence';
import type { Shot } from '../shot/shot';
import { cellKey } from './cells';
import { usualSpotM } from './landing';

/**
 * Evidence as the model takes it: how many balls of one kind of record from one place say the same. A fit costs as much
 * as there are groups, not as there are balls.
 */
export type BallGroup = {
  /** Key of the cell. */
  cell: string;
  /**
   * What is known: `between` two distances left (`hi` Infinity: outside), `holed`, `strokes` to hole out (1, 2, 3 for more),
   * a putt `made` (1) or missed (0), missed with a `leave` between two distances, or `putted` out in 2 or 3 and more, `landed` between
   * two distances from the spot, in all directions or (`along`) on the line of play, the `mean` of several balls.
   */
  kind: 'between' | 'holed' | 'strokes' | 'made' | 'leave' | 'putted' | 'landed' | 'along' | 'mean';
  /** From where, in metres. */
  distanceM: number;
  lo: number;
  hi: number;
  /** Log-SD by which the way of measuring blurs it. */
  blur: number;
  value: number;
  /** What sit and stance add to the logarithm of the distance left. */
  lie: number;
  /** Where the ball should have landed, in metres from where it lay; 0 where nothing is said of that. */
  spotM: number;
  /** Balls, each by its weight. */
  n: number;
  /** What missed putts count for in what came after, where that is less: where they stopped, or whether the next one dropped. */
  nAfter?: number;
};

/** By sit and by stance. A judgement. */
export const SIT_COSTS: Readonly<Record<Sit, number>> = { clean: 0, up: 0.05, down: 0.18, buried: 0.45 };
export const STANCE_COSTS: Readonly<Record<Stance, number>> = { flat: 0, uphill: 0.06, downhill: 0.14, ball_above: 0.08, ball_below: 0.1 };

/** What the lie adds to the logarithm of the distance left, beyond its surface: cells are quoted clean and flat. */
export function lieCost({ sit, stance }: { sit: Sit; stance: Stance }): number {
  return SIT_COSTS[sit] + STANCE_COSTS[stance];
}

/** Exact distances are sorted into bins: so many, log-spaced, from and to so many metres. */
const BINS = 56;
const BINS_FROM_M = 0.05;
const BINS_TO_M = 60;
/** As a plain list, for whoever sorts balls elsewhere. */
export const BINNING = { bins: BINS, fromM: BINS_FROM_M, step: Math.log(BINS_TO_M / BINS_FROM_M) / BINS } as const;
const STEP = BINNING.step;

/** The bin of a distance left: its edges in metres. */
export function binOf(leftM: number): { lo: number; hi: number } {
  const bin = Math.min(BINS - 1, Math.max(0, Math.floor(Math.log(leftM / BINS_FROM_M) / STEP)));
  return { lo: BINS_FROM_M * Math.exp(bin * STEP), hi: BINS_FROM_M * Math.exp((bin + 1) * STEP) };
}

/** Landing errors as they are paced out: to the nearest step, in metres. */
export const LANDING_STEP_M = 0.25;
function landingBin(offM: number): { lo: number; hi: number } {
  return { lo: Math.max(0, offM - LANDING_STEP_M / 2), hi: offM + LANDING_STEP_M / 2 };
}

/** Distances that are within so much of each other, as a logarithm, are one place: 15 yd and a foot more or less. */
export const PLACE = 0.02;

/** The place of a distance, in metres; never nearer than a foot's length. */
export function placeOf(distanceM: number): number {
  return Math.exp(Math.round(Math.log(Math.max(NEAREST_PLACE_M, distanceM)) / PLACE) * PLACE);
}
export const NEAREST_PLACE_M = 0.3;

/** What the model reads of a ball. */
export type RecordedBall = Pick<
  Shot,
  | 'shotType'
  | 'surface'
  | 'sit'
  | 'stance'
  | 'target'
  | 'distanceM'
  | 'holed'
  | 'leftM'
  | 'leftMinM'
  | 'leftMaxM'
  | 'strokes'
  | 'penalty'
  | 'finish'
  | 'landed'
  | 'executed'
  | 'landingErrorM'
  | 'carryM'
  | 'measured'
  | 'nBalls'
  | 'sumLeftM'
  | 'counts'
> & {
  /** The landing zone that it was played at; null or nothing: at none. */
  zone?: LandingZoneSeen | null;
};

/** A landing zone: how far it reaches from its middle, in metres; where that is, from the ball; and whether it lies right across the line of play. */
export type LandingZoneSeen = { sizeM: number; spotM: number | null; strip: boolean };

/** Nothing is known of where it stopped but that it was not holed. */
function onlyMissed({ holed, leftM, leftMinM, leftMaxM, strokes, landed, landingErrorM, sumLeftM, nBalls }: RecordedBall): boolean {
  return !holed && nBalls === 1 && [leftM, leftMinM, leftMaxM, strokes, landed, landingErrorM, sumLeftM].every((value) => value === null);
}

/** What one ball says about its cell; null where it says nothing. */
export function groupOf(ball: RecordedBall): Omit<BallGroup, 'n'> | null {
  if (!isEvidence(ball) || ball.distanceM <= 0) return null;
  const putt = isPutt(ball.shotType);
  const base = {
    cell: cellKey(ball.shotType, ball.surface, ball.distanceM),
    distanceM: placeOf(ball.distanceM),
    lo: 0,
    hi: 0,
    blur: 0,
    value: 0,
    lie: putt ? 0 : lieCost(ball),
    spotM: 0,
  };
  // Where only the shot was judged nobody was asked whether it dropped.
  if (onlyMissed(ball))
    return ball.executed !== null ? null : putt ? { ...base, kind: 'made', value: 0 } : { ...base, kind: 'between', hi: Infinity };
  // A struck peg is a score, not a holed ball: of a ball at a peg only that it was near is known.
  if (ball.holed && ball.target === 'peg') return putt ? null : { ...base, kind: 'between', lo: 0, hi: 0.3 };
  if (putt) {
    if (ball.holed) return { ...base, kind: 'made', value: 1 };
    if (ball.nBalls > 1) return null;
    if (ball.leftM !== null) return { ...base, kind: 'leave', ...binOf(ball.leftM), blur: BLUR[ball.measured] };
    if (ball.leftMinM !== null || ball.leftMaxM !== null)
      return { ...base, kind: 'leave', lo: ball.leftMinM ?? 0, hi: ball.leftMaxM ?? Infinity };
    return (ball.strokes ?? 0) > 1 ? { ...base, kind: 'putted', value: Math.min(3, ball.strokes!) } : null;
  }
  if (ball.holed) return { ...base, kind: 'holed' };
  if (ball.nBalls > 1 && ball.sumLeftM !== null)
    return { ...base, kind: 'mean', lo: Math.max(BINS_FROM_M, ball.sumLeftM / ball.nBalls), value: ball.nBalls, blur: BLUR[ball.measured] };
  if (ball.leftM !== null) return { ...base, kind: 'between', ...binOf(ball.leftM), blur: BLUR[ball.measured] };
  if (ball.leftMinM !== null || ball.leftMaxM !== null)
    return { ...base, kind: 'between', lo: ball.leftMinM ?? 0, hi: ball.leftMaxM ?? Infinity };
  if (ball.strokes !== null) return { ...base, kind: 'strokes', value: Math.min(3, ball.strokes) };
  const { landingErrorM, zone } = ball;
  // To the nearest step and metre, as balls are counted.
  const off = landingErrorM === null ? 0 : Math.round(landingErrorM / LANDING_STEP_M) * LANDING_STEP_M;
  const landedM = ball.carryM === null ? null : Math.max(0, Math.round(ball.carryM) - off);
  const spotM = zone?.spotM ?? landedM ?? usualSpotM(ball.shotType, base.distanceM);
  if (landingErrorM !== null) return { ...base, kind: 'along', ...landingBin(Math.abs(off)), spotM };
  if (ball.landed === null || !zone || zone.sizeM <= 0) return null;
  return {
    ...base,
    kind: zone.strip ? 'along' : 'landed',
    lo: ball.landed ? 0 : zone.sizeM,
    hi: ball.landed ? zone.sizeM : Infinity,
    spotM,
  };
}

/** Adds so many balls to the group that says what they say. */
export function addTo(groups: Map<string, BallGroup>, one: Omit<BallGroup, 'n'>, n: number): void {
  const { cell, kind, distanceM, lo, hi, blur, value, lie, spotM } = one;
  const key = `${cell}|${kind}|${distanceM}|${lo}|${hi}|${blur}|${value}|${lie}|${spotM}`;
  const held = groups.get(key);
  if (held) held.n += n;
  else groups.set(key, { ...one, n });
}
