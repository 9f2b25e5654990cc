/** "Sun 22 Nov": a day such as 2026-11-22, whatever the zone of whoever reads it. */
export function sayPlainDay(day: string): string {
  return new Intl.DateTimeFormat('en-GB', { weekday: 'short', day: 'numeric', month: 'short', timeZone: 'UTC' }).format(new Date(day));
}
