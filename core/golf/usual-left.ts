import { METRES_PER } from '../units/length';
import { shippedReference } from './reference';
import { isPutt } from './shot-types';
import type { ShotType, Surface } from './words';

type Spot = { key: string; shotType: ShotType; surface: Surface; distanceM: number };

/**
 * Within what half of the balls of players of a level stop, in metres, by the spot they are played from (the reference table). Putts, of which
 * most drop, and shots that the table does not have are left out.
 */
export function usualLeft(level: number, spots: readonly Spot[]): Record<string, number> {
  return Object.fromEntries(
    spots.flatMap(({ key, shotType, surface, distanceM }) => {
      const shot = isPutt(shotType) ? null : shippedReference.shot(level, shotType, surface, distanceM);
      return shot ? [[key, shot.medianLeftFt * METRES_PER.ft]] : [];
    }),
  );
}
