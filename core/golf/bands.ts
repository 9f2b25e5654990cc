import { isPutt } from './shot-types';
import { toMetres } from '../units/length';
import type { ShotType } from './words';

/** A distance band, half-open: the lower bound belongs to it, the upper one to the next, or to it where there is none. `max` is null where it has no end. */
export type Band = { min: number; max: number | null; unit: 'ft' | 'yd' };

const bands = (unit: 'ft' | 'yd', edges: readonly (number | null)[]): readonly Band[] =>
  edges.slice(0, -1).map((min, i) => ({ min: min as number, max: edges[i + 1] ?? null, unit }));

export const PUTT_BANDS = bands('ft', [0, 3, 6, 10, 20, 40, null]);
export const OFF_GREEN_BANDS = bands('yd', [0, 10, 20, 30, 50, 75, 100]);

/** The bands a shot type is sorted into: putts in feet, everything from off the green in yards. */
export function bandsOf(shotType: ShotType): readonly Band[] {
  return isPutt(shotType) ? PUTT_BANDS : OFF_GREEN_BANDS;
}

/**
 * The band of a distance to the hole.
 * @param distanceM metres, not negative
 * @returns null beyond 100 yd off the green, which is no short-game shot
 */
export function bandAt(shotType: ShotType, distanceM: number): Band | null {
  for (const band of bandsOf(shotType)) {
    const end = band.max === null ? Infinity : toMetres(band.max, band.unit);
    if (distanceM >= toMetres(band.min, band.unit) && distanceM < end) return band;
    if (distanceM <= end + 1e-6 && band === bandsOf(shotType).at(-1)) return band;
  }
  return null;
}

/** "10–20 yd", "40+ ft". */
export function sayBand(band: Band): string {
  return band.max === null ? `${band.min}+ ${band.unit}` : `${band.min}–${band.max} ${band.unit}`;
}

/** The longest distance a station may have, in metres: the end of the last band off the green, 150 ft for a putt. */
export function longestM(shotType: ShotType): number {
  return isPutt(shotType) ? toMetres(150, 'ft') : toMetres(100, 'yd');
}
