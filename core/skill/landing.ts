import type { ShotType } from '../golf/words';
import { insideShare } from './shape';

/*
 * Where a ball lands, against where it should. The error grows with the carry, and so does what it costs: a ball whose spot is a
 * few yards away lands near it and then runs, and the run has errors of its own. How far a level lands from its spot
 * follows from what it leaves: the parts of an ordinary miss are the carry's, the run's and the line's. The parts are those
 * of made-up players whose balls carry and run (docs/model.md), a judgement.
 */

/** What a metre of run by the same speed, of run by itself, and of line contribute against one of carry; and what none is under, in metres. */
const RUN_BY_SPEED = 0.89;
const RUN_ALONE = 0.456;
const LINE = 0.577;
const LEAST_M = 0.662;
const SIZE = 1.055;

/**
 * What an ordinary miss is made of, each against an error of the carry of one in one: what a landing misses along its line (as if it carried so
 * far), what the run errs by itself, and what the ball is off line where it stops; and where it stops along the line, all in all. In metres.
 */
export function missParts(distanceM: number, spotM: number): { carry: number; run: number; across: number; along: number } {
  const runM = Math.max(0, distanceM - spotM);
  const run = RUN_ALONE * runM;
  return {
    carry: Math.hypot(spotM, LEAST_M),
    run,
    across: LINE * distanceM,
    along: Math.hypot(spotM + RUN_BY_SPEED * runM, run, LEAST_M),
  };
}

/** The median landing error as a share of the median left: of a shot of `distanceM` to a spot `spotM` away. */
export function landingShare(distanceM: number, spotM: number): number {
  const { carry, along, across } = missParts(distanceM, spotM);
  return (SIZE * Math.hypot(carry, LINE * spotM)) / Math.hypot(along, across);
}

/** How far landing is a skill of its own: nothing where the spot is at the hole, most where the ball runs nearly all the way. */
export function ownLanding(share: number): number {
  return Math.max(0, 1 - share);
}

/** Where the ball usually lands, as a share of the distance, when nobody said where the spot is. A judgement. */
const CARRIES: Readonly<Record<ShotType, number>> = {
  putt: 0,
  fringe_putt: 0.1,
  bump_and_run: 0.25,
  chip: 0.4,
  pitch: 0.65,
  lob: 0.85,
  bunker: 0.7,
};
/** All that is judged here, for the version of the model. */
export const LANDING_CONSTANTS = [RUN_BY_SPEED, RUN_ALONE, LINE, LEAST_M, SIZE, CARRIES] as const;

export const usualSpotM = (shotType: ShotType, distanceM: number) => CARRIES[shotType] * distanceM;

/** How landing errors spread: in all directions, and along the line of play alone, where the median is nearer, as a logarithm. */
export const LANDED = { circle: { steepness: 1.705, nearer: 0 }, along: { steepness: 1.209, nearer: -0.299 } } as const;
/** So many balls land nowhere near, however well somebody lands them. */
export const LANDS_ANYWHERE = 0.015;

/** The share of balls that land inside, at z = steepness · ln(distance from the spot ÷ median). */
export const landedInside = (z: number) => (1 - LANDS_ANYWHERE) * insideShare(z);
