import { median } from '../math/median';
import type { LeftInterval } from './evidence';

/** A median distance left in metres, and of how many balls: a point where they settle it, else between two distances. */
export type MedianLeft = LeftInterval & { of: number };

/**
 * The medians of the near and of the far ends of what is known of each ball: the true median lies between them,
 * whatever happened inside the rings.
 * @returns null of no balls
 */
export function medianLeft(left: readonly LeftInterval[]): MedianLeft | null {
  if (left.length === 0) return null;
  return { from: median(left.map(({ from }) => from)), to: median(left.map(({ to }) => to)), of: left.length };
}

/** The median for a drawing: a distance in metres if the balls settle it, and there are at least three; else null. */
export function settledMedian(left: readonly LeftInterval[]): number | null {
  const found = medianLeft(left);
  return found && found.of >= 3 && found.from === found.to ? found.from : null;
}
