import type { Shot } from './shot';

/** The putt, or putts, with which a ball was finished. */
export type Finishing = { distanceM: number; strokes: number };

/**
 * The putting that a record of strokes holds, where it is known how far the ball was left on the green: a chip left
 * 4 ft away and finished in two holds a holed putt of 4 ft. Penalties are not putts.
 * @returns null where nothing was putted, or it is not known from where
 */
export function finishingPutts({ strokes, penalty, holed, leftM, finish, shotType, counts }: Shot): Finishing | null {
  if (strokes === null || leftM === null || holed || counts !== 'ordinary' || shotType === 'putt') return null;
  if (finish !== null && finish !== 'green') return null;
  const putts = strokes - 1 - penalty;
  return putts >= 1 ? { distanceM: leftM, strokes: putts } : null;
}
