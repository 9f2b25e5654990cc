import { TZDate } from '@date-fns/tz';
import { differenceInCalendarDays } from 'date-fns';

/** "today", "yesterday", "3 days ago", "4 Oct": the day of a moment, said in the academy's time zone. */
export function sayDay(moment: Date, timeZone: string, now: Date): string {
  const [today, then] = [new TZDate(now, timeZone), new TZDate(moment, timeZone)];
  const days = differenceInCalendarDays(today, then);
  if (days === 0) return 'today';
  if (days === 1) return 'yesterday';
  if (days > 1 && days < 14) return `${days} days ago`;
  const sameYear = then.getFullYear() === today.getFullYear();
  return new Intl.DateTimeFormat('en-GB', { timeZone, day: 'numeric', month: 'short', ...(sameYear ? {} : { year: 'numeric' }) }).format(
    moment,
  );
}

/** "Sun 22 Nov, 17:05": a moment, in the academy's time zone. */
export function sayMoment(moment: Date, timeZone: string): string {
  const day = new Intl.DateTimeFormat('en-GB', { timeZone, weekday: 'short', day: 'numeric', month: 'short' }).format(moment);
  const time = new Intl.DateTimeFormat('en-GB', { timeZone, hour: '2-digit', minute: '2-digit' }).format(moment);
  return `${day}, ${time}`;
}

/** "2 Apr 2026", or "2 Apr": the day of a moment as a date, in the academy's time zone. */
export function sayDate(moment: Date, timeZone: string, withYear = true): string {
  const year = withYear ? ({ year: 'numeric' } as const) : {};
  return new Intl.DateTimeFormat('en-GB', { timeZone, day: 'numeric', month: 'short', ...year }).format(moment);
}

/** "1 Oct to 29 Nov 2026": from a day to a day, with both years where they differ. */
export function sayPeriod(from: Date, to: Date, timeZone: string): string {
  const yearOf = (moment: Date) => new TZDate(moment, timeZone).getFullYear();
  return `${sayDate(from, timeZone, yearOf(from) !== yearOf(to))} to ${sayDate(to, timeZone)}`;
}
