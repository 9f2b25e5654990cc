/**
 * How often a shot comes off as it was asked for: high, with a draw, as it was called. There is no such thing in the
 * skill model, so this is a judgement: 70% at level 0, less by 1 point a level, and players of a level differ.
 */
const AT_SCRATCH = 0.7;
const PER_LEVEL = -0.01;
const PLAYERS_SD = 0.5;

/** @param z how far a player is from the others of the level, in standard deviations */
export function executesAt(level: number, z: number): number {
  const middle = Math.min(0.95, Math.max(0.1, AT_SCRATCH + PER_LEVEL * level));
  return 1 / (1 + Math.exp(-(Math.log(middle / (1 - middle)) + PLAYERS_SD * z)));
}
