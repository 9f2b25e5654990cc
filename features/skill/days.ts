import { TZDate } from '@date-fns/tz';
import { addDays } from 'date-fns';

/** The moment at which a day, "2026-11-03", begins in a time zone. */
export function startOfDayIn(day: string, timeZone: string): Date {
  const [year, month, date] = day.split('-').map(Number) as [number, number, number];
  return new Date(new TZDate(year, month - 1, date, timeZone).getTime());
}

/** Its last millisecond there. */
export function endOfDayIn(day: string, timeZone: string): Date {
  const [year, month, date] = day.split('-').map(Number) as [number, number, number];
  return new Date(addDays(new TZDate(year, month - 1, date, timeZone), 1).getTime() - 1);
}
