import { normalCdf } from '../math/normal';

/** The same game twice: by how much the second was better, and how likely it is that it was better by more than luck. */
export type Difference = { better: number; chance: number | null };

/**
 * What two scores of one game say of a change between them.
 * @param higher whether more is better
 * @param luck the standard deviation of a score by luck alone, in what the score counts; null: not known
 * @returns `chance`: Φ(difference/(√2·luck)), as a flat prior and scores that scatter normally have it
 */
export function differenceOf(first: number, second: number, { higher, luck }: { higher: boolean; luck: number | null }): Difference {
  const better = higher ? second - first : first - second;
  return { better, chance: luck === null || luck <= 0 ? null : normalCdf(better / (Math.SQRT2 * luck)) };
}
