import Papa from 'papaparse';
import * as z from 'zod';
import { decimal } from '../units/decimal';
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
/** A number as people write it, a comma in it too; then what it has to be. */
const number = (schema: z.ZodType<number, number> = z.number()) =>
  z
    .string()
    .transform(decimal)
    .pipe(z.number({ error: 'is not a number' }))
    .pipe(schema);
const positive = number(z.number().gt(0, 'must be more than 0'));
const notNegative = number(z.number().min(0, 'is negative'));
const count = (least = -Infinity, tooLow = '', most = Infinity, tooHigh = '') =>
  number(z.number().refine(Number.isInteger, 'is not a whole number').min(least, tooLow).max(most, tooHigh));
const word = <const T extends readonly [string, ...string[]]>(values: T) => z.enum(values, { error: `isn’t one of ${values.join(', ')}` });
const yesNo = z.stringbool({ truthy: ['true', 'yes', '1'], falsy: ['false', 'no', '0'], error: 'isn’t true or false' });

const rowSchema = z.object({
  shot_id: optional(z.uuid('isn’t a shot id')),
  played_at: optional(z.iso.datetime({ offset: true, error: 'isn’t a date and time such as 2026-05-01T18:00:00Z' })),
  player: optional(z.string().max(60)),
  session: optional(z.string().max(120)),
  session_id: optional(z.string().max(120)),
  game: optional(z.string().max(120)),
  game_version: optional(count()),
  station: optional(z.string().max(40)),
  ball: optional(count(1, 'counts from 1')),
  turn: optional(count(1, 'counts from 1')),
  phase: optional(count(1, 'counts from 1')),
  shot_type: optional(shotTypeSchema),
  surface: optional(surfaceSchema),
  sit: optional(word(SITS)),
  stance: optional(word(STANCES)),
  trajectory: optional(word(TRAJECTORIES)),
  shape: optional(word(SHAPES)),
  swing_width: optional(word(SWING_WIDTHS)),
  swing_mark: optional(z.string().max(40)),
  club: optional(z.string().max(20)),
  distance_ft: optional(positive),
  distance_yd: optional(positive),
  distance_m: optional(positive),
  holed: optional(yesNo),
  left_ft: optional(notNegative),
  left_m: optional(notNegative),
  left_min_ft: optional(notNegative),
  left_max_ft: optional(notNegative),
  bearing_deg: optional(number(z.number().min(0, 'is negative').lt(360, 'is 360 or more'))),
  strokes: optional(count(1, 'is less than one', 20, 'is more than 20')),
  penalty: optional(count(0, 'is negative', 4, 'is more than 4')),
  finish: optional(word(FINISHES)),
  landed: optional(yesNo),
  executed: optional(yesNo),
  carry_ft: optional(notNegative),
  carry_yd: optional(notNegative),
  carry_m: optional(notNegative),
  landing_error_ft: optional(number()),
  intended_yd: optional(notNegative),
  mishit: optional(word(MISHITS)),
  counts: optional(word(COUNTS)),
  measured: optional(word(MEASURES)),
  wind: optional(z.string().max(40)),
  note: optional(z.string().max(500)),
  target: optional(word(['hole', 'peg'])),
  zone_ft: optional(positive),
  n_balls: optional(count(1, 'is less than one', 60, 'is more than 60')),
  sum_left_ft: optional(notNegative),
  stimp_ft: optional(number()),
  firmness: optional(word(['soft', 'medium', 'firm'])),
});
/** One row as it stands in the file. */
export type ShotTableRow = z.infer<typeof rowSchema> & { line: number };
export type TableProblem = { line: number; column: string; message: string };

export const SHOT_TABLE_COLUMNS = Object.keys(rowSchema.shape);

/**
 * Reads a shot table row by row, so that a long one is never held as rows. What is wrong is said with its line, as an editor
 * counts them, and its column, and nothing is thrown.
 */
export function eachRow(csv: string, take: (row: ShotTableRow) => void): { problems: TableProblem[]; ignored: string[] } {
  const text = csv.replace(/^\uFEFF/, '');
  const lineAt = lineCounter(text);
  const problems: TableProblem[] = [];
  let columns: string[] | null = null;
  let ignored: string[] = [];
  let readers: (FieldReader | null)[] = [];
  let from = 0;
  Papa.parse<string[]>(text, {
    step({ data: fields, meta }, parser) {
      const line = lineAt(from);
      from = meta.cursor;
      if (fields.every(isBlank)) return;
      if (!columns) {
        columns = fields.map((name) => name.trim().toLowerCase());
        readers = columns.map((name) => (isColumn(name) ? fieldReader(rowSchema.shape[name]) : null));
        ignored = columns.filter((_, i) => readers[i] === null);
        if (ignored.length < columns.length) return;
        problems.push({ line, column: '', message: 'This isn’t a shot table: it has no column this program knows.' });
        return parser.abort();
      }
      const row: Record<string, unknown> = { line };
      const before = problems.length;
      for (let i = 0; i < columns.length; i++) {
        const field = readers[i]?.(fields[i] ?? '');
        const column = columns[i]!;
        if (field?.success) row[column] = field.data;
        else
          for (const { message } of field?.error.issues ?? [])
            problems.push({ line, column, message: `${column} “${fields[i]!}” ${message}` });
      }
      if (problems.length === before) take(row as ShotTableRow);
    },
  });
  if (!columns && problems.length === 0)
    problems.push({ line: 1, column: '', message: 'This isn’t a shot table: it has no column this program knows.' });
  return { problems, ignored };
}

const isBlank = (field: string) => field.trim() === '';
const isColumn = (name: string): name is keyof typeof rowSchema.shape => Object.hasOwn(rowSchema.shape, name);

type FieldReader = (field: string) => z.ZodSafeParseResult<unknown>;
/** Most columns say the same few things all the way down: so many are kept as they were read. */
const KEPT = 1000;
function fieldReader(schema: z.ZodType): FieldReader {
  const known = new Map<string, z.ZodSafeParseResult<unknown>>();
  return (field) => {
    let found = known.get(field);
    if (!found) {
      found = schema.safeParse(field);
      if (known.size < KEPT) known.set(field, found);
    }
    return found;
  };
}

/** Which line a place of a text is in; asked of ever later places. */
function lineCounter(text: string): (at: number) => number {
  let [line, seen] = [1, 0];
  return (at) => {
    for (let next = text.indexOf('\n', seen); next !== -1 && next < at; next = text.indexOf('\n', seen)) {
      line++;
      seen = next + 1;
    }
    return line;
  };
}

/** Reads a whole shot table. */
export function readShotTable(csv: string): { rows: ShotTableRow[]; problems: TableProblem[]; ignored: string[] } {
  const rows: ShotTableRow[] = [];
  return { rows, ...eachRow(csv, (row) => rows.push(row)) };
}

/** Feet of a table in metres. */
export const fromFeet = (feet: number | undefined) => (feet === undefined ? null : snap(feet * METRES_PER.ft));

/** What is left in metres, exact or a ring; a holed ball has nothing left. */
export function leftOf(row: ShotTableRow): { holed: boolean; leftM: number | null; leftMinM: number | null; leftMaxM: number | null } {
  if (row.holed) return { holed: true, leftM: null, leftMinM: null, leftMaxM: null };
  const leftM = row.left_m === undefined ? fromFeet(row.left_ft) : snap(row.left_m);
  if (leftM !== null) return { holed: false, leftM, leftMinM: null, leftMaxM: null };
  return { holed: false, leftM: null, leftMinM: fromFeet(row.left_min_ft), leftMaxM: fromFeet(row.left_max_ft) };
}
