import type { Shot } from './shot';

/** Whether a ball says something about the player's skill: an ordinary attempt, with an ordinary ball. */
export function isEvidence(shot: Pick<Shot, 'counts'>): boolean {
  return shot.counts === 'ordinary';
}

/** Whether the ball went in, as evidence: a peg struck is a score in the game, not a holed shot. */
export function holedIn(shot: Pick<Shot, 'holed' | 'target'>): boolean {
  return shot.holed && shot.target === 'hole';
}

/** What is known of the distance left, in metres, both ends included; `to` is Infinity outside the last ring. */
export type LeftInterval = { from: number; to: number };

/**
 * The distance left as an interval: a point where it was measured, a ring's two edges where only the ring is known.
 * @returns null where nothing was recorded of it
 */
export function leftInterval(shot: Pick<Shot, 'holed' | 'target' | 'leftM' | 'leftMinM' | 'leftMaxM'>): LeftInterval | null {
  if (shot.holed) return { from: 0, to: 0 };
  if (shot.leftM !== null) return { from: shot.leftM, to: shot.leftM };
  if (shot.leftMinM !== null || shot.leftMaxM !== null) return { from: shot.leftMinM ?? 0, to: shot.leftMaxM ?? Infinity };
  return null;
}
