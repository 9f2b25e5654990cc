import { dayIn } from './day';
import { inZone } from './in-zone';
import { daysFrom } from './plain-day';

const DATE = { day: 'numeric', month: 'short' } as const;
const DATE_AND_YEAR = { ...DATE, year: 'numeric' } as const;
const WEEKDAY = { weekday: 'short', ...DATE } as const;
const CLOCK = { hour: '2-digit', minute: '2-digit' } as const;

/** "today", "yesterday", "3 days ago", "4 Oct": the day of a moment, said in the academy's time zone. */
export function sayDay(moment: Date, timeZone: string, now: Date): string {
  const [then, today] = [dayIn(moment, timeZone), dayIn(now, timeZone)];
  const days = daysFrom(then, today);
  if (days === 0) return 'today';
  if (days === 1) return 'yesterday';
  if (days > 1 && days < 14) return `${days} days ago`;
  return sayDate(moment, timeZone, then.slice(0, 4) !== today.slice(0, 4));
}

/** "Sun 22 Nov, 17:05": a moment, in the academy's time zone. */
export function sayMoment(moment: Date, timeZone: string): string {
  return `${inZone(timeZone, WEEKDAY).format(moment)}, ${inZone(timeZone, CLOCK).format(moment)}`;
}

/** "2 Apr 2026", or "2 Apr": the day of a moment as a date, in the academy's time zone. */
export function sayDate(moment: Date, timeZone: string, withYear = true): string {
  return inZone(timeZone, withYear ? DATE_AND_YEAR : DATE).format(moment);
}

/** "1 Oct to 29 Nov 2026": from a day to a day, with both years where they differ. */
export function sayPeriod(from: Date, to: Date, timeZone: string): string {
  const yearOf = (moment: Date) => dayIn(moment, timeZone).slice(0, 4);
  return `${sayDate(from, timeZone, yearOf(from) !== yearOf(to))} to ${sayDate(to, timeZone)}`;
}
