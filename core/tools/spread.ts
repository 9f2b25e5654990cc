import { mean } from 'd3-array';
import { normalCdf, normalQuantile } from '../math/normal';
import { studentCdf } from '../math/student';
import { missParts, usualSpotM } from '../skill/landing';
import type { ShotType } from '../golf/words';

/**
 * How far somebody's shots stray: one number, the standard deviation of the carry as a share of it. What is left of the hole says what it is
 * (`missParts`): the carry, the run and the line all err in proportion.
 */

/** Across the longer of two spreads: the middles of equally likely slices. */
const SLICES = Array.from({ length: 40 }, (_, i) => normalQuantile((i + 0.5) / 40));

/** Of a normal spread with these two standard deviations, the distance from its middle within which half of it lies. */
export function medianOfSpread(one: number, other: number): number {
  const [long, short] = [Math.max(one, other, 1e-9), Math.max(Math.min(one, other), 1e-9)];
  const inside = (radius: number) =>
    mean(SLICES, (z) => (Math.abs(z) * short >= radius ? 0 : 2 * normalCdf(Math.sqrt(radius ** 2 - (z * short) ** 2) / long) - 1))!;
  let [low, high] = [0, 1.2 * (long + short)];
  for (let step = 0; step < 40; step++) {
    const middle = (low + high) / 2;
    if (inside(middle) < 0.5) low = middle;
    else high = middle;
  }
  return low;
}

/** The spread with which half of the balls of a shot stop within so many metres, played to its usual spot. */
export function spreadFrom(medianLeftM: number, shotType: ShotType, distanceM: number): number {
  const { along, across } = missParts(distanceM, usualSpotM(shotType, distanceM));
  return medianLeftM / medianOfSpread(along, across);
}

/** Degrees of freedom of an ordinary error, as the skill model has it. */
const DF = 10;
/** Errors that stand for all, in standard deviations, and how likely each is. */
export const ERRORS: readonly { z: number; p: number }[] = (() => {
  const STEP = 0.1;
  const zs = Array.from({ length: 81 }, (_, i) => (i - 40) * STEP);
  // A standard deviation of 1: Student's t is wider by √(df/(df−2)).
  const wide = Math.sqrt(DF / (DF - 2));
  const ps = zs.map((z) => studentCdf((z + STEP / 2) * wide, DF) - studentCdf((z - STEP / 2) * wide, DF));
  const sum = ps.reduce((a, b) => a + b, 0);
  return zs.map((z, i) => ({ z, p: ps[i]! / sum }));
})();
