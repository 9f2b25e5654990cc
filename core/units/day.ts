import { TZDate } from '@date-fns/tz';
import { addDays } from 'date-fns';
import { inZone } from './in-zone';

const DAY = { year: 'numeric', month: '2-digit', day: '2-digit' } as const;

/** The calendar day of a moment in a time zone: "2026-11-03". */
export function dayIn(moment: Date, timeZone: string): string {
  // As it is written in Sweden.
  return inZone(timeZone, DAY, 'sv-SE').format(moment);
}

/** A day, "2026-11-03", at its midnight in a time zone. */
function midnightOf(day: string, timeZone: string): TZDate {
  const [year, month, date] = day.split('-').map(Number) as [number, number, number];
  return new TZDate(year, month - 1, date, timeZone);
}

/** The moment of a day at a time of its clock, "17:30", in a time zone; one that the clock skips is as much later. */
export function momentIn(day: string, clock: string, timeZone: string): Date {
  const [year, month, date] = day.split('-').map(Number) as [number, number, number];
  const [hours, minutes] = clock.split(':').map(Number) as [number, number];
  return new Date(new TZDate(year, month - 1, date, hours, minutes, timeZone).getTime());
}

/** The moment at which a day begins in a time zone. */
export function startOfDayIn(day: string, timeZone: string): Date {
  return new Date(midnightOf(day, timeZone).getTime());
}

/** Its last millisecond there. */
export function endOfDayIn(day: string, timeZone: string): Date {
  return new Date(addDays(midnightOf(day, timeZone), 1).getTime() - 1);
}
