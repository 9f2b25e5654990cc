import { documentFile } from '../document-file';
import { hourSchema, type Hour } from '../hour/hour';
import { storedHours } from '../hour/stored-hours';
import type { Problem } from '../problem';
import { storedWeeks } from './stored-weeks';
import { weeksSchema, type Weeks } from './weeks';

/** A planned session as a file, without the players. */
export const hourFile = documentFile<Hour>({ format: 'inch-hour', noun: 'plan', kind: storedHours, schema: hourSchema });
/** Planned weeks as a file, without the players, and without the sessions of their days. */
export const weeksFile = documentFile<Weeks>({ format: 'inch-weeks', noun: 'plan', kind: storedWeeks, schema: weeksSchema });

/** How the name of a file of either ends. */
export const PLAN_FILE_ENDINGS = [hourFile.ending, weeksFile.ending] as const;

/** Reads a planned session or planned weeks, whichever it is; what is wrong is said with its place. */
export function readPlanFile(text: string): { hour: Hour } | { weeks: Weeks } | { problems: Problem[] } {
  const weeks = weeksFile.read(text);
  if ('document' in weeks) return { weeks: weeks.document };
  const [first] = weeks.problems;
  if (first?.path !== 'format') return weeks;
  const hour = hourFile.read(text);
  if ('document' in hour) return { hour: hour.document };
  return hour.problems[0]?.path === 'format'
    ? { problems: [{ path: 'format', message: 'This isn’t a plan file: its format is neither “inch-hour” nor “inch-weeks”.' }] }
    : hour;
}

/**
 * Planned weeks for an academy that they are new to: their days get ids of their own.
 * @param newId makes one
 */
export function weeksAnew(weeks: Weeks, newId: () => string): Weeks {
  return { ...weeks, days: weeks.days.map((day) => ({ ...day, hourId: newId() })) };
}
