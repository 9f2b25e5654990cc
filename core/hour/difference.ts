import { normalCdf } from '../math/normal';

/** The same game twice: by how much the second was better, and how likely it is that it was better by more than luck. */
export type Difference = { better: number; chance: number | null };

/**
 * How much an hour changes a player, as a standard deviation against that of luck. A judgement: little. With no change at all "likely" is then
 * said about four times in a hundred (difference.test.ts).
 */
const CHANGE_IN_LUCKS = 0.5;

/**
 * What two scores of one game say of a change between them.
 * @param higher whether more is better
 * @param luck the standard deviation of a score by luck alone, in what the score counts; null: not known
 * @returns `chance`: of a normal change of half a luck, seen through two scores that each scatter by luck,
 * Φ(difference/(√2·luck)·½/√(¼ + 2)); null where luck is not known
 */
export function differenceOf(first: number, second: number, { higher, luck }: { higher: boolean; luck: number | null }): Difference {
  const better = higher ? second - first : first - second;
  const shrunk = CHANGE_IN_LUCKS / Math.sqrt(CHANGE_IN_LUCKS ** 2 + 2);
  return { better, chance: luck === null || luck <= 0 ? null : normalCdf((better / (Math.SQRT2 * luck)) * shrunk) };
}
