import { daysFrom, plusDays } from '../units/plain-day';
import type { Frame } from './weeks';

/** After so many days there is a verdict. */
export const BLOCK_DAYS = 28;
/** A rest that is shorter than this belongs to the block before. */
const SHORTEST_BLOCK = 14;

/** The last day of practice: the day before the event, or as it was said. */
export const lastDay = ({ until, event }: Pick<Frame, 'until' | 'event'>) => (event ? plusDays(event.day, -1) : until);

/** Four weeks each, from the first day to the last. */
export function blocksOf(frame: Pick<Frame, 'from' | 'until' | 'event'>): { from: string; until: string }[] {
  const last = lastDay(frame);
  const blocks: { from: string; until: string }[] = [];
  for (let from = frame.from; from <= last;) {
    const until = plusDays(from, BLOCK_DAYS - 1);
    const isLast = daysFrom(until, last) < SHORTEST_BLOCK;
    blocks.push({ from, until: isLast ? last : until });
    if (isLast) break;
    from = plusDays(until, 1);
  }
  return blocks;
}
