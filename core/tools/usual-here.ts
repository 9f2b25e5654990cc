import { METRES_PER } from '../units/length';
import { makeRate } from '../golf/putting';
import type { Reference } from '../golf/reference';
import type { ShotType, Surface } from '../golf/words';
import { allInside, anywhereInside, centreOf, STEEPNESS, zOf } from '../skill/shape';
import { medianLeftOf, puttingFrom, type Strays } from './strays';

/** What is usual of a shot: half stop inside so many metres, how many inside others, and how often two strokes are enough. */
export type UsualHere = { medianM: number; inside: { radiusM: number; share: number }[]; upAndDown: number };

const LOOKS = 40;

/**
 * What is usual from a place off the green, for a player or a level.
 * @param radiiM circles round the hole
 */
export function usualHere(
  strays: Strays,
  reference: Reference,
  shotType: ShotType,
  surface: Surface,
  distanceM: number,
  radiiM: readonly number[],
): UsualHere {
  const medianM = medianLeftOf(strays, reference, shotType, surface, distanceM);
  const mu = centreOf(medianM, distanceM);
  const share = (radiusM: number) => allInside(STEEPNESS * (Math.log(radiusM) - mu), anywhereInside(radiusM, distanceM));
  let upAndDown = 0;
  for (let look = 0; look < LOOKS; look++) {
    const left = Math.exp(mu + zOf((look + 0.5) / LOOKS) / STEEPNESS);
    const ft = Math.max(0.5, left / METRES_PER.ft);
    upAndDown += makeRate(puttingFrom(strays, ft), ft) / LOOKS;
  }
  return { medianM, inside: radiiM.map((radiusM) => ({ radiusM, share: share(radiusM) })), upAndDown };
}
