import { along, type Curve } from '../math/piecewise';
import type { Flight } from '../physics/launch';

/**
 * A rule of thumb for a chip on a flat green: so many parts of run to one part of carry, by the loft of the club. Rules differ from one player to
 * the next by a whole part; these are round figures to begin with, and everybody changes them to their own.
 */
const PARTS: Curve = [
  [34, 5],
  [38, 4],
  [42, 3.5],
  [46, 3],
  [50, 2],
  [56, 1.5],
  [60, 1],
];

/** Parts of run to one of carry for a low flight, to the half. */
export function usualParts(loftDeg: number): number {
  return Math.max(0.5, Math.round(2 * along(PARTS, loftDeg)) / 2);
}

/** Where a rule of thumb lands the ball: `parts` of run to one of carry. */
export function carryByRule(distanceM: number, parts: number): number {
  return distanceM / (1 + parts);
}

/** For which flight a rule of thumb speaks: the plain chip's. */
export const RULE_FLIGHT: Flight = 'low';
