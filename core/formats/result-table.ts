import * as z from 'zod';
import { momentCell, number, optional, rowReader, text } from './row-reader';

/**
 * Results without balls, one a row: what somebody scored, as it was noted by hand. A score is a plain number with a unit.
 */
const rowSchema = z.object({
  /** Any text names a result. */
  result_id: optional(text(100)),
  played_at: optional(momentCell),
  player: optional(text(60)),
  game: optional(text(80)),
  score: optional(number(z.number().min(-1e6, 'is less than can be').max(1e6, 'is more than can be'))),
  unit: optional(text(20)),
  note: optional(text(500)),
});
export type ResultTableRow = z.infer<typeof rowSchema> & { line: number };

/** Reads the rows of such a table with these columns. */
export const resultRowReader = (columns: readonly string[]) => rowReader(rowSchema, columns);
