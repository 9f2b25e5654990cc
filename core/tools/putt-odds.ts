import { expectedPutts, makeRate, nextPutt, type PuttingSkill } from '../golf/putting';

/** What becomes of a putt: made, in two, in three or more; and how many putts it takes on average. */
export type PuttOdds = { makes: number; two: number; three: number; putts: number };

/**
 * @param putts expected putts of the same player by distance in feet (`expectedPutts`)
 * @param ft in feet, more than 0
 */
export function puttOdds(skill: PuttingSkill, ft: number, putts = expectedPutts(skill)): PuttOdds {
  const [makes, two] = [makeRate(skill, ft), nextPutt(skill, ft)];
  return { makes, two, three: Math.max(0, 1 - makes - two), putts: putts(ft) };
}
