import { daysFrom, plusDays, weekdayOf } from '../units/plain-day';
import { SHORTEST } from '../hour/hour';
import { blocksOf, lastDay } from './blocks';
import type { Aim, Block, Frame, PlannedDay } from './weeks';

/** So many days before an event practice gets shorter, to this part of its minutes, in fives; judged. */
const [EASES_DAYS, EASES_TO, STEP_MIN, LEAST_MIN] = [7, 0.6, 5, 10];
/** Between the tests every third day is for what was left out for long. */
const EVERY = 3;

/** The days on which there is practice. */
function practiceDays(frame: Frame): Omit<PlannedDay, 'hourId' | 'aim'>[] {
  const days = Math.max(0, daysFrom(frame.from, lastDay(frame)) + 1);
  return Array.from({ length: days }, (_, i) => plusDays(frame.from, i)).flatMap((day) => {
    const usual = frame.rhythm.find(({ weekday }) => weekday === weekdayOf(day));
    return usual ? [{ day, at: usual.at, minutes: usual.minutes }] : [];
  });
}

/** Whether a day is so near an event that practice gets shorter. */
const easesOn = ({ event }: Pick<Frame, 'event'>, day: string) => event !== null && daysFrom(day, event.day) <= EASES_DAYS;

/** A test is played on a day that is at least so long against the longest. */
const LONG = 0.5;
const isLong = (minutes: number, all: readonly { minutes: number }[]) => minutes >= LONG * Math.max(...all.map((day) => day.minutes));

/** On how many of its days a block can be tested. */
export function practiceDaysIn(frame: Frame, { from, until }: Pick<Block, 'from' | 'until'>): number {
  const usual = practiceDays(frame).filter(({ day }) => day >= from && day <= until && !easesOn(frame, day));
  return usual.filter(({ minutes }) => isLong(minutes, usual)).length;
}

/** So much of the shortest usual practice is the test. */
const TEST_SHARE = 0.6;

/** How long the test may take, in whole minutes: on the shortest of the days that are long enough for it there is time for more. */
export function minutesOfTest(rhythm: Frame['rhythm']): number {
  const long = rhythm.flatMap(({ minutes }) => (isLong(minutes, rhythm) ? [minutes] : []));
  return Math.max(SHORTEST, Math.floor(TEST_SHARE * Math.min(...long)));
}

/** Less than usual, in steps of five minutes. */
export const eased = (minutes: number) => Math.min(minutes, Math.max(LEAST_MIN, STEP_MIN * Math.round((EASES_TO * minutes) / STEP_MIN)));

/** On so many days at each end the test can be played: on a quarter of all, so that half are left to practise in between. */
export const testDaysIn = (days: number, wanted: number) => Math.max(1, Math.min(wanted, Math.floor(days / 4)));

/**
 * What the days of a block are for, in their order: the test, what is practised, the same test again; a day that is too short for the test and lies
 * before or after both is for what was left out. Of one day nothing can be told.
 */
function aimsOf(days: readonly { minutes: number }[], testDays: number): Aim[] {
  const long = days.flatMap(({ minutes }, i) => (isLong(minutes, days) ? [i] : []));
  if (long.length < 2) return days.map(() => 'practise');
  const tests = testDaysIn(long.length, testDays);
  const [first, again] = [long.slice(0, tests), long.slice(-tests)];
  return days.map((_, i): Aim => {
    if (first.includes(i)) return 'test';
    if (again.includes(i)) return 'again';
    const outside = i < first[0]! || i > again.at(-1)!;
    return outside || (i - first.at(-1)! - 1) % EVERY === EVERY - 1 ? 'neglected' : 'practise';
  });
}

/**
 * Which day is for what: in each block of four weeks the test, practice, every third day what was left out, and the test again; in the last week
 * before an event less, and on its last day as in a round.
 * @param blocks as far as they are known: on how many days the test is played
 * @param idOf the id of a day's hour
 */
export function layDays(frame: Frame, blocks: readonly Pick<Block, 'testDays'>[], idOf: (day: string) => string): PlannedDay[] {
  const days = practiceDays(frame);
  const last = days.at(-1)?.day;
  return blocksOf(frame).flatMap(({ from, until }, b) => {
    const inside = days.filter(({ day }) => day >= from && day <= until);
    const usual = inside.filter(({ day }) => !easesOn(frame, day));
    const aims = aimsOf(usual, blocks[b]?.testDays ?? blocks.at(-1)?.testDays ?? 1);
    return inside.map((one): PlannedDay => {
      const hourId = idOf(one.day);
      const at = usual.indexOf(one);
      if (at >= 0) return { ...one, hourId, aim: aims[at]! };
      return { ...one, hourId, minutes: eased(one.minutes), aim: one.day === last ? 'rehearsal' : 'less' };
    });
  });
}
