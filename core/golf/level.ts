import * as z from 'zod';
import { decimal } from '../units/decimal';

/** The levels that there are: handicaps. The best players' are below 0, and golfers write and say those with a plus. */
export const LEVEL_FROM = -10;
export const LEVEL_TO = 54;
const RANGE = 'Levels run from +10 to 54.';

/** A level, or the text of one. */
export const levelSchema = z.preprocess(
  (value: number) => (typeof value === 'string' ? readLevel(value) : value),
  z.number({ error: 'Enter a level such as 18, or +2 for better than scratch.' }).min(LEVEL_FROM, RANGE).max(LEVEL_TO, RANGE),
);

/** "18", "0", "+5": a level as golfers write it. */
export function sayLevel(level: number): string {
  return level < 0 ? `+${-level}` : String(level);
}

/** A level as it is typed: "18", "+5" or "-5" for the best, a comma or a point for tenths; NaN where it is no number. */
export function readLevel(text: string): number {
  const figure = decimal(text);
  return text.trim().startsWith('+') ? 0 - figure : figure;
}
