import { writeCells } from './cells';

/** Something that was done, as a table holds it. */
export type ActivityOut = { at: Date; who: string; what: string; about: string | null; done: string };

export const ACTIVITY_TABLE_COLUMNS = ['happened_at', 'who', 'what', 'about_id', 'done'] as const;

/** What was done as CSV, a row each; moments are in UTC. */
export function writeActivityTable(lines: readonly ActivityOut[], withHead = true): string {
  const rows = lines.map(({ at, who, what, about, done }) => ({ happened_at: at.toISOString(), who, what, about_id: about, done }));
  return writeCells(ACTIVITY_TABLE_COLUMNS, rows, withHead);
}
