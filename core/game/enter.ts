import { shippedReference } from '../golf/reference';
import { METRES_PER } from '../units/length';
import { entrantFor, type Entrant } from './entrant';
import type { OwnLengths, Sizes } from './sizes';

/** The level for which zones that grow with the level are drawn. */
export const DRAWN_FOR_LEVEL = 10;

/**
 * By how much zones are larger for a level: the median distance left of a 15 yd chip from the fairway at that level,
 * against the level they are drawn for, to a twentieth.
 */
export function scaleForLevel(level: number): number {
  const median = (at: number) => shippedReference.shot(at, 'chip', 'fairway', 15 * METRES_PER.yd)!.medianLeftFt;
  return Math.round((median(level) / median(DRAWN_FOR_LEVEL)) * 20) / 20;
}

/** What a session fixes about a player of a level when it starts. */
export function enter(
  player: { playerId: string; level: number } & OwnLengths,
  sizes: Sizes,
  coach: OwnLengths,
  allowance: number,
): Entrant {
  return entrantFor({ ...player, scale: scaleForLevel(player.level) }, sizes, coach, allowance);
}
