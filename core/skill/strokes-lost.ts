import { mean } from 'd3-array';
import { isPutt } from '../golf/shot-types';
import { holedIn, leftInterval, type LeftInterval } from '../shot/evidence';
import type { RecordedBall } from './groups';
import { METRES_PER } from '../units/length';
import type { Reference, ReferenceShot } from '../golf/reference';
import { centreOf, insideShare, STEEPNESS, zOf } from './shape';

/** Points at which an interval is looked at; a mean of putts over a ring moves by under 0.001 when this is doubled. */
const LOOKS = 16;

/** Where a ball that came to rest in one of these is played from next, and as what. */
const NEXT_FROM = {
  fringe: ['chip', 'fringe'],
  rough: ['chip', 'light_rough'],
  sand: ['bunker', 'sand'],
} as const;

/**
 * What a shot lost against the reference level, in strokes: what it cost and is still expected to cost, minus what the
 * level expects from the same place. Positive is lost, negative gained.
 *
 * From off the green the level's expectation is the reference table's, for a putt the putting model's. What is left
 * after the shot is counted in the level's own putts, so that somebody's putting does not colour their chipping.
 * @returns null where the record does not say enough, or the reference has no such shot
 */
export function strokesLost(shot: RecordedBall, level: number, reference: Reference): number | null {
  const from = isPutt(shot.shotType) ? null : reference.shot(level, shot.shotType, shot.surface, shot.distanceM);
  const expected = isPutt(shot.shotType) ? reference.putts(level, shot.distanceM) : (from?.expectedStrokes ?? null);
  if (expected === null) return null;
  if (holedIn(shot)) return 1 + shot.penalty - expected;
  if (shot.finish === 'out') return 1 + shot.penalty;
  const left = leftInterval(shot);
  if (left === null) return shot.strokes === null ? null : shot.strokes + shot.penalty - expected;
  const still = mean(looks(left, from, shot.distanceM), (leftM) => stillToCome(shot, leftM, level, reference))!;
  return 1 + shot.penalty + still - expected;
}

/** Strokes that the level expects to need from where the ball lies. A struck peg leaves a tap-in, not nothing. */
function stillToCome(shot: Pick<RecordedBall, 'finish'>, leftM: number, level: number, reference: Reference): number {
  const next = shot.finish && shot.finish in NEXT_FROM ? NEXT_FROM[shot.finish as keyof typeof NEXT_FROM] : null;
  if (next) return reference.shot(level, next[0], next[1], leftM)!.expectedStrokes;
  return Math.max(1, reference.putts(level, leftM));
}

/**
 * Distances that stand for an interval. Inside a ring the reference player's balls are assumed (their shape, cut to
 * the ring); where the reference has none, every distance of the ring alike, and half as far again outside the last.
 */
function looks({ from, to }: LeftInterval, spread: ReferenceShot | null, distanceM: number): number[] {
  if (from === to) return [from];
  const middles = Array.from({ length: LOOKS }, (_, i) => (i + 0.5) / LOOKS);
  if (!spread) {
    const end = Number.isFinite(to) ? to : from * 1.5;
    return middles.map((share) => from + share * (end - from));
  }
  const centre = centreOf(spread.medianLeftFt * METRES_PER.ft, distanceM);
  const chance = (metres: number) => insideShare(STEEPNESS * (Math.log(metres) - centre));
  const [low, high] = [chance(from), chance(to)];
  if (high - low < 1e-9) return [Number.isFinite(to) ? (from + to) / 2 : from];
  return middles.map((share) => Math.exp(centre + zOf(low + share * (high - low)) / STEEPNESS));
}
