import { blocksOf } from './blocks';
import { layDays } from './lay-days';
import type { Block, PlannedDay, Weeks } from './weeks';

const inOrder = (days: readonly PlannedDay[]) =>
  days.toSorted((a, b) => a.day.localeCompare(b.day) || (a.at ?? '').localeCompare(b.at ?? '') || a.hourId.localeCompare(b.hourId));

/** One of its days otherwise: on another date, at another time, longer, for something else. */
export function withDay(weeks: Weeks, hourId: string, change: Partial<Omit<PlannedDay, 'hourId'>>): Weeks {
  return { ...weeks, days: inOrder(weeks.days.map((one) => (one.hourId === hourId ? { ...one, ...change } : one))) };
}

/** One day more. */
export const plusDay = (weeks: Weeks, day: PlannedDay): Weeks => ({ ...weeks, days: inOrder([...weeks.days, day]) });

/** One day less. */
export const minusDay = (weeks: Weeks, hourId: string): Weeks => ({
  ...weeks,
  days: weeks.days.filter((one) => one.hourId !== hourId),
});

/**
 * Lays its days anew, after its frame or its blocks changed: what is over stays as it was, and a date that was planned already keeps its hour.
 * @param today days before it are over
 * @param newId the id of an hour that is new
 * @param done hours that were begun: their days are over as well
 */
export function relaid(weeks: Weeks, today: string, newId: () => string, done: ReadonlySet<string> = new Set()): Weeks {
  const blocks = blocksOf(weeks).map((block, i): Block => {
    const known = weeks.blocks[i];
    return { testDays: 1, shots: [], tests: [], game: null, ...known, ...block };
  });
  const isOver = ({ day, hourId }: PlannedDay) => day < today || done.has(hourId);
  const over = weeks.days.filter(isOver);
  const free = weeks.days.filter((one) => !isOver(one));
  const isFree = (day: string) => day >= today && over.every((one) => one.day !== day);
  const used = new Set<string>();
  const idOf = (day: string) => {
    const there = free.find((one) => one.day === day && !used.has(one.hourId))?.hourId ?? newId();
    used.add(there);
    return there;
  };
  const days = layDays(weeks, blocks, (day) => (isFree(day) ? idOf(day) : '')).filter(({ day }) => isFree(day));
  return { ...weeks, blocks, days: inOrder([...over, ...days]) };
}

/** One of its blocks about other shots. */
export const withBlock = (weeks: Weeks, at: number, change: Partial<Block>): Weeks => ({
  ...weeks,
  blocks: weeks.blocks.map((block, i) => (i === at ? { ...block, ...change } : block)),
});

/** The block to which a day belongs: what lies before the first is the first's, what lies behind the last the last's; -1 where there is none. */
export function blockAt({ blocks }: Pick<Weeks, 'blocks'>, day: string): number {
  return Math.max(
    Math.min(0, blocks.length - 1),
    blocks.findLastIndex(({ from }) => day >= from),
  );
}

/** The days of one of its blocks. */
export const daysOf = (weeks: Pick<Weeks, 'blocks' | 'days'>, block: number): PlannedDay[] =>
  weeks.days.filter(({ day }) => blockAt(weeks, day) === block);
