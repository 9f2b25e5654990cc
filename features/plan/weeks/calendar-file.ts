import ical from 'ical-generator';
import type { Hour } from '@/core/hour/hour';
import { momentIn } from '@/core/units/day';
import { SAY_AIM } from '@/core/weeks/say-aim';
import type { Weeks } from '@/core/weeks/weeks';
import { SAY_KIND } from '../../session/say-part';

const MINUTE_MS = 60_000;

/**
 * Planned weeks as a calendar file (iCalendar, RFC 5545): each day an event, for the whole day where nobody said when; and what they lead up to.
 * @param hours those of its days that are made, by their ids
 */
export function calendarOf(
  weeks: Weeks,
  { hours, timeZone, savedAt, academy }: { hours: ReadonlyMap<string, Hour>; timeZone: string; savedAt: Date; academy: string },
): string {
  const calendar = ical({ name: weeks.title, prodId: { company: 'Inch Game', product: 'Plan', language: 'EN' } });
  for (const { hourId, day, at, minutes, aim } of weeks.days) {
    const hour = hours.get(hourId);
    const length = hour?.minutes ?? minutes;
    const start = at === null ? dateOf(day) : momentIn(day, at, timeZone);
    calendar.createEvent({
      id: `${hourId}@inch-game`,
      stamp: savedAt,
      start,
      ...(at === null ? { allDay: true } : { end: new Date(start.getTime() + length * MINUTE_MS) }),
      summary: `${SAY_AIM[aim]}, ${length} min: ${weeks.title}`,
      location: academy,
      ...(hour ? { description: hour.parts.map((part) => `${part.minutes} min ${SAY_KIND[part.kind]}: ${part.title}`).join('\n') } : {}),
    });
  }
  const { event } = weeks;
  if (event)
    calendar.createEvent({
      id: `${event.day}-event@inch-game`,
      stamp: savedAt,
      start: dateOf(event.day),
      allDay: true,
      summary: event.name,
    });
  return calendar.toString();
}

/** A day as the writer of calendar files reads it: midnight by the clock of this machine. */
function dateOf(day: string): Date {
  const [year, month, date] = day.split('-').map(Number) as [number, number, number];
  return new Date(year, month - 1, date);
}
