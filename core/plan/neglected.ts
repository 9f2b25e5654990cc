import { daysFrom } from '../units/plain-day';
import type { Finding } from '../skill/diagnose';

/** A shot is neglected that nobody hit for so many days. */
const NEGLECTED_DAYS = 28;
/** What comes up less often than once in so many rounds is no loss. */
const ROUNDS = 5;
/** So many come round in one go. */
const MOST = 3;

/**
 * The shots that were left out for long: never hit or not for four weeks, and likely to come up in a round; what comes up most first.
 * @param day for which they are sought
 * @param turn counts up: each time other ones, until all came round
 */
export function neglectedOf(shots: readonly Pick<Finding, 'key' | 'uses' | 'lastAt'>[], day: string, turn = 0): string[] {
  const all = shots
    .filter(({ uses, lastAt }) => {
      const since = lastAt === null ? Infinity : daysFrom(lastAt.toISOString().slice(0, 10), day);
      return uses * ROUNDS >= 1 && since >= NEGLECTED_DAYS;
    })
    .toSorted((a, b) => b.uses - a.uses)
    .map(({ key }) => key);
  const turns = Math.max(1, Math.ceil(all.length / MOST));
  return all.slice(MOST * (turn % turns), MOST * (turn % turns) + MOST);
}
