import type { Shot } from '../shot/shot';
import type { Rules, Side } from '../game/rules';
import { schemeOf, type Scoring } from '../game/scoring';
import type { ScoredBall } from '../game/scoring/ball';

const WITHOUT_TURN: readonly Shot['counts'][] = ['rehit', 'lie_rejected', 'no_ball', 'demonstration'];

/** What the rules make of a ball before the scheme sees it, and what it costs. */

/**
 * Whether a ball takes its turn. A ball hit again, a lie that was rejected, a swing without a ball and one that a coach hit to show how are
 * recorded and marked, and the turn is still to be played; all others score as the game says, evidence or not.
 */
export function takesTurn(shot: Pick<Shot, 'counts'>): boolean {
  return !WITHOUT_TURN.includes(shot.counts);
}

/** The middle of each side, as a bearing in degrees. */
export const SIDE_BEARING: Readonly<Record<Side, number>> = { long: 0, right: 90, short: 180, left: 270 };

/** Whether a ball finished on the side that counts; null where its direction is not known. Level with the hole counts. */
export function onGoodSide(ball: Pick<ScoredBall, 'holed' | 'bearingDeg'>, side: Side | null): boolean | null {
  if (side === null || ball.holed) return true;
  if (ball.bearingDeg === null) return null;
  const off = Math.abs(((ball.bearingDeg - SIDE_BEARING[side] + 540) % 360) - 180);
  return off <= 90;
}

/** Whether a ball is known to have finished off the green. */
export function offGreen(ball: Pick<ScoredBall, 'holed' | 'finish'>): boolean {
  return !ball.holed && ball.finish !== null && ball.finish !== 'green';
}

/**
 * A ball as the scheme sees it: in a one-sided zone, one on the wrong side (or of which the side is not known) is in
 * no zone at all, unless it counts as it lies.
 */
export function seen(ball: ScoredBall, rules: Rules, scoring: Scoring): ScoredBall {
  if (rules.goodSide === null || schemeOf(scoring).wrongSideCounts || onGoodSide(ball, rules.goodSide) === true) return ball;
  return { ...ball, leftM: null, leftMinM: 0, leftMaxM: null };
}

/** What the rules take from the score for one ball: always a loss, in what the score counts (lengths: in metres). */
export function costOf(ball: ScoredBall, rules: Rules, scoring: Scoring, lengthUnitM: number): number {
  const wrong = rules.goodSide !== null && onGoodSide(ball, rules.goodSide) === false ? rules.wrongSideCost : 0;
  const off = rules.offGreenCost !== null && offGreen(ball) ? rules.offGreenCost : 0;
  return priced(wrong + off, scoring, lengthUnitM);
}

/** A cost as a change of the score: taken away where more is better, added where less is. */
export function priced(cost: number, scoring: Scoring, lengthUnitM: number): number {
  if (cost === 0) return 0;
  const scheme = schemeOf(scoring);
  const amount = scheme.unit(scoring) === 'length' ? cost * lengthUnitM : cost;
  return scheme.better(scoring) === 'higher' ? -amount : amount;
}

/** Where lengths are added up a cost is in feet, or in metres for a game that is measured in metres. */
export function costUnitM(sizes: { unit: string }): number {
  return sizes.unit === 'm' ? 1 : 0.3048;
}
