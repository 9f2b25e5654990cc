import { inZone } from './in-zone';

const DAY_MS = 86_400_000;

/** "Sun 22 Nov": a day such as 2026-11-22, whatever the zone of whoever reads it. */
export function sayPlainDay(day: string): string {
  return inZone('UTC', { weekday: 'short', day: 'numeric', month: 'short' }).format(new Date(day));
}

/** The day so many days later; earlier where they are less than nothing. */
export function plusDays(day: string, days: number): string {
  return new Date(Date.parse(day) + days * DAY_MS).toISOString().slice(0, 10);
}

/** How many days it is from one day to another. */
export const daysFrom = (from: string, to: string): number => Math.round((Date.parse(to) - Date.parse(from)) / DAY_MS);

/** The day of the week, from Monday, 1, to Sunday, 7. */
export const weekdayOf = (day: string): number => new Date(day).getUTCDay() || 7;

/** The Monday of its week. */
export const mondayOf = (day: string): string => plusDays(day, 1 - weekdayOf(day));
