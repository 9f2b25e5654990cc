/*
 * How often a shot comes off as it was asked for: high, with a draw, as it was called. The skill model knows no such
 * thing. Where a level starts from is a judgement: 70% at level 0, less by 1 point a level, and players of a level differ
 * by a standard deviation of 0.5 in the logit. A player's own records count against that.
 */
const AT_SCRATCH = 0.7;
const PER_LEVEL = -0.01;
const PLAYERS_SD = 0.5;

/** Shots that were judged, and how many of them came off as asked. */
export type Executed = { shots: number; asAsked: number };
export const NONE_JUDGED: Executed = { shots: 0, asAsked: 0 };

/** How often shots of a level come off as asked, in the middle. */
export function executedByLevel(level: number): number {
  return Math.min(0.95, Math.max(0.1, AT_SCRATCH + PER_LEVEL * level));
}

/**
 * How often a player's shots come off as asked. The level weighs as many shots as leave its own spread, 1/(SD²·p(1 − p));
 * with the player's they give the shares of a beta distribution, taken as normal in the logit.
 * @param z how far from the middle of what is believed, in standard deviations
 */
export function executesAt(level: number, z: number, { shots, asAsked }: Executed = NONE_JUDGED): number {
  const middle = executedByLevel(level);
  const weight = 1 / (PLAYERS_SD ** 2 * middle * (1 - middle));
  const [yes, no] = [weight * middle + asAsked, weight * (1 - middle) + shots - asAsked];
  return 1 / (1 + Math.exp(-(Math.log(yes / no) + z * Math.sqrt(1 / yes + 1 / no))));
}
