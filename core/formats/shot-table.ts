import Papa from 'papaparse';
import { z } from 'zod';
import {
  COUNTS,
  FINISHES,
  MEASURES,
  MISHITS,
  SHAPES,
  SITS,
  STANCES,
  shotTypeSchema,
  surfaceSchema,
  SWING_WIDTHS,
  TRAJECTORIES,
} from '../golf/words';
import { METRES_PER, snap } from '../units/length';

/**
 * The shot table: CSV with a header row, UTF-8, one ball a row. Columns may come in any order; those that nobody knows
 * are passed over and named. Numbers are counted from 1, as people count.
 */

const blank = (value: unknown) =>
  typeof value === 'string' && value.trim() === '' ? undefined : typeof value === 'string' ? value.trim() : value;
const optional = <T extends z.ZodType>(schema: T) => z.preprocess(blank, schema.optional());
const number = z.coerce.number({ error: 'is not a number' });
const count = z.coerce.number({ error: 'is not a number' }).int('is not a whole number');
const word = <const T extends readonly [string, ...string[]]>(values: T) => z.enum(values, { error: `is none of ${values.join(', ')}` });
const yesNo = z.stringbool({ truthy: ['true', 'yes', '1'], falsy: ['false', 'no', '0'], error: 'is neither true nor false' });

const rowSchema = z.object({
  shot_id: optional(z.uuid('is no shot id')),
  played_at: optional(z.iso.datetime({ offset: true, error: 'is no moment such as 2026-05-01T18:00:00Z' })),
  player: optional(z.string().max(60)),
  session: optional(z.string().max(120)),
  session_id: optional(z.string().max(120)),
  game: optional(z.string().max(120)),
  game_version: optional(count),
  station: optional(z.string().max(40)),
  ball: optional(count.min(1, 'counts from 1')),
  turn: optional(count.min(1, 'counts from 1')),
  phase: optional(count.min(1, 'counts from 1')),
  shot_type: optional(shotTypeSchema),
  surface: optional(surfaceSchema),
  sit: optional(word(SITS)),
  stance: optional(word(STANCES)),
  trajectory: optional(word(TRAJECTORIES)),
  shape: optional(word(SHAPES)),
  swing_width: optional(word(SWING_WIDTHS)),
  swing_mark: optional(z.string().max(40)),
  club: optional(z.string().max(20)),
  distance_ft: optional(number.gt(0, 'must be more than nothing')),
  distance_yd: optional(number.gt(0, 'must be more than nothing')),
  distance_m: optional(number.gt(0, 'must be more than nothing')),
  holed: optional(yesNo),
  left_ft: optional(number.min(0, 'is negative')),
  left_m: optional(number.min(0, 'is negative')),
  left_min_ft: optional(number.min(0, 'is negative')),
  left_max_ft: optional(number.min(0, 'is negative')),
  bearing_deg: optional(number.min(0, 'is negative').lt(360, 'is 360 or more')),
  strokes: optional(count.min(1, 'is less than one').max(20, 'is more than 20')),
  penalty: optional(count.min(0, 'is negative').max(4, 'is more than 4')),
  finish: optional(word(FINISHES)),
  landed: optional(yesNo),
  executed: optional(yesNo),
  carry_ft: optional(number.min(0, 'is negative')),
  carry_yd: optional(number.min(0, 'is negative')),
  carry_m: optional(number.min(0, 'is negative')),
  landing_error_ft: optional(number),
  intended_yd: optional(number.min(0, 'is negative')),
  mishit: optional(word(MISHITS)),
  counts: optional(word(COUNTS)),
  measured: optional(word(MEASURES)),
  wind: optional(z.string().max(40)),
  note: optional(z.string().max(500)),
  target: optional(word(['hole', 'peg'])),
  zone_ft: optional(number.gt(0, 'must be more than nothing')),
  n_balls: optional(count.min(1, 'is less than one').max(60, 'is more than 60')),
  sum_left_ft: optional(number.min(0, 'is negative')),
  stimp_ft: optional(number),
  firmness: optional(word(['soft', 'medium', 'firm'])),
});
/** One row as it stands in the file. */
export type ShotTableRow = z.infer<typeof rowSchema> & { line: number };
export type TableProblem = { line: number; column: string; message: string };

export const SHOT_TABLE_COLUMNS = Object.keys(rowSchema.shape);

/** Reads a shot table. What is wrong is said with its line and column, and nothing is thrown. */
export function readShotTable(csv: string): { rows: ShotTableRow[]; problems: TableProblem[]; ignored: string[] } {
  const parsed = Papa.parse<Record<string, string>>(csv.replace(/^\uFEFF/, '').trim(), {
    header: true,
    skipEmptyLines: true,
    transformHeader: (name) => name.trim().toLowerCase(),
  });
  const columns = parsed.meta.fields ?? [];
  const ignored = columns.filter((name) => !SHOT_TABLE_COLUMNS.includes(name));
  const rows: ShotTableRow[] = [];
  const problems: TableProblem[] = [];
  if (ignored.length === columns.length)
    return { rows, problems: [{ line: 1, column: '', message: 'This is no shot table: no column is known.' }], ignored };
  parsed.data.forEach((fields, i) => {
    const line = i + 2;
    const row = rowSchema.safeParse(fields);
    if (row.success) rows.push({ ...row.data, line });
    else
      for (const issue of row.error.issues) {
        const column = String(issue.path[0] ?? '');
        problems.push({ line, column, message: `${column} “${fields[column] ?? ''}” ${issue.message}` });
      }
  });
  return { rows, problems, ignored };
}

/** What is left in metres, exact or a ring; a holed ball has nothing left. */
export function leftOf(row: ShotTableRow): { holed: boolean; leftM: number | null; leftMinM: number | null; leftMaxM: number | null } {
  const feet = (value: number | undefined) => (value === undefined ? null : snap(value * METRES_PER.ft));
  if (row.holed) return { holed: true, leftM: null, leftMinM: null, leftMaxM: null };
  const leftM = row.left_m === undefined ? feet(row.left_ft) : snap(row.left_m);
  if (leftM !== null) return { holed: false, leftM, leftMinM: null, leftMaxM: null };
  return { holed: false, leftM: null, leftMinM: feet(row.left_min_ft), leftMaxM: feet(row.left_max_ft) };
}
