import { GRAVITY, ROLLING, slowing } from '../physics/ball';

/** How much more fringe slows a ball than green does. A judgement. */
export const FRINGE_SLOWS = 1.5;
/** What a rule of thumb adds for the fringe where nobody said otherwise: half of it. */
export const USUAL_FRINGE_SHARE = 0.5;

/** A putt from off the green: metres of fringe and of green along the line, rise over run, the speed of the green in feet. */
export type FringePutt = { fringeM: number; greenM: number; slope: number; stimpFt: number };

/**
 * How far past the hole a putt from the fringe is aimed, so that it comes to it: the second hole, in metres past the first.
 * On the green a ball needs v² = 2(a + g′)·length, in the fringe 2(a_fringe + g′)·length, g′ = 5/7·g·sin θ: as much as a putt on the green that is
 * longer by (a_fringe − a)/(a + g′) of the fringe.
 * @returns by the model, and by a rule that adds `share` of the fringe; by the model null where a ball on this fall does not stop
 */
export function aimPast({ fringeM, slope, stimpFt }: FringePutt, share: number): { byModel: number | null; byRule: number } {
  const [green, pull] = [slowing(stimpFt), ROLLING * GRAVITY * Math.sin(Math.atan(slope))];
  const byModel = green + pull <= 0.02 ? null : ((FRINGE_SLOWS - 1) * green * fringeM) / (green + pull);
  return { byModel, byRule: share * fringeM };
}
