import { along, type Curve } from '../math/piecewise';

/** Greens hit in a round of 18 holes, by level: tour, scratch, a single figure and the high nineties as published, the others judgements. */
const GREENS_HIT: Curve = [
  [-5, 12],
  [0, 10],
  [7, 7.5],
  [18, 5],
  [26, 3.4],
  [40, 1.6],
  [54, 0.6],
];
const APPROACH_LEFT_FT: Curve = [
  [-5, 15.5],
  [0, 19],
  [18, 24],
  [54, 30],
];

/** How many greens a level hits in 18 holes. */
export const greensHit = (level: number): number => Math.max(0.3, along(GREENS_HIT, level));
/** Where the first putt lies in the middle after a green that was hit, in feet. */
export const approachLeftFt = (level: number): number => along(APPROACH_LEFT_FT, level);
/** The standard deviation of its logarithm. */
export const APPROACH_SPREAD = 0.75;
