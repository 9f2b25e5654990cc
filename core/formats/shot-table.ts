import * as z from 'zod';
import {
  COUNTS,
  FINISHES,
  LANDED_SIDES,
  MEASURES,
  MISHITS,
  SHAPES,
  SITS,
  STANCES,
  SHOT_TYPES,
  SURFACES,
  SWING_WIDTHS,
  TRAJECTORIES,
} from '../golf/words';
import { METRES_PER, snap } from '../units/length';
import { eachLine } from './each-line';
import { count, momentCell, notNegative, number, optional, positive, rowReader, text, word, yesNo, type TableProblem } from './row-reader';

/**
 * The shot table: CSV with a header row, UTF-8, one ball a row. Columns may come in any order; those that nobody knows
 * are passed over and named. Numbers are counted from 1, as people count. A length is in the unit that its column's name ends with.
 */

/** What a length has to be, by the name of its columns: `left_ft`, `left_yd` and `left_m` say the same. */
const LENGTHS = {
  distance: positive,
  left: notNegative,
  left_min: notNegative,
  left_max: notNegative,
  carry: notNegative,
  landing_error: number(),
  intended: notNegative,
  sum_left: notNegative,
  zone: positive,
};
export type TableLength = keyof typeof LENGTHS;
export const TABLE_LENGTHS = Object.keys(LENGTHS) as TableLength[];
/** In which units a table can say a length. */
const TABLE_UNITS = ['ft', 'yd', 'm'] as const;
type LengthColumn = `${TableLength}_${(typeof TABLE_UNITS)[number]}`;

const lengthColumns = Object.fromEntries(
  TABLE_LENGTHS.flatMap((length) => TABLE_UNITS.map((unit) => [`${length}_${unit}`, optional(LENGTHS[length])])),
) as unknown as Record<LengthColumn, z.ZodType<number | undefined>>;

const rowSchema = z.object({
  /** Any text names a ball. */
  shot_id: optional(text(100)),
  played_at: optional(momentCell),
  player: optional(text(60)),
  session: optional(text(120)),
  session_id: optional(text(120)),
  game: optional(text(120)),
  game_version: optional(count()),
  station: optional(text(40)),
  ball: optional(count(1, 'counts from 1')),
  turn: optional(count(1, 'counts from 1')),
  phase: optional(count(1, 'counts from 1')),
  shot_type: optional(word(SHOT_TYPES)),
  surface: optional(word(SURFACES)),
  sit: optional(word(SITS)),
  stance: optional(word(STANCES)),
  trajectory: optional(word(TRAJECTORIES)),
  shape: optional(word(SHAPES)),
  swing_width: optional(word(SWING_WIDTHS)),
  swing_mark: optional(text(40)),
  club: optional(text(20)),
  ...lengthColumns,
  holed: optional(yesNo),
  bearing_deg: optional(number(z.number().min(0, 'is negative').lt(360, 'is 360 or more'))),
  strokes: optional(count(1, 'is less than one', 20, 'is more than 20')),
  penalty: optional(count(0, 'is negative', 4, 'is more than 4')),
  finish: optional(word(FINISHES)),
  landed: optional(yesNo),
  landed_side: optional(word(LANDED_SIDES)),
  executed: optional(yesNo),
  was_called: optional(yesNo),
  called: optional(text(60)),
  nearer: optional(yesNo),
  par: optional(count(1, 'is less than one', 7, 'is more than 7')),
  mishit: optional(word(MISHITS)),
  counts: optional(word(COUNTS)),
  measured: optional(word(MEASURES)),
  wind: optional(text(40)),
  note: optional(text(500)),
  target: optional(word(['hole', 'peg'])),
  n_balls: optional(count(1, 'is less than one', 60, 'is more than 60')),
  stimp_ft: optional(number()),
  firmness: optional(word(['soft', 'medium', 'firm'])),
});
/** One row as it stands in the file. */
export type ShotTableRow = z.infer<typeof rowSchema> & { line: number };

export const SHOT_TABLE_COLUMNS = Object.keys(rowSchema.shape) as (keyof typeof rowSchema.shape)[];

/** Reads the rows of a shot table with these columns. */
export const shotRowReader = (columns: readonly string[]) => rowReader(rowSchema, columns);

/**
 * Reads a shot table row by row, so that a long one is never held as rows. What is wrong is said with its line, as an editor
 * counts them, and its column, and nothing is thrown.
 */
export function eachRow(csv: string, take: (row: ShotTableRow) => void): { problems: TableProblem[]; ignored: string[] } {
  const problems: TableProblem[] = [];
  let reader: ReturnType<typeof shotRowReader> | null = null;
  eachLine(csv.replace(/^\uFEFF/, ''), (cells, line) => {
    if (reader) {
      const read = reader.read(cells, line);
      if ('row' in read) take(read.row);
      else problems.push(...read.problems);
      return;
    }
    const columns = cells.map((name) => name.trim().toLowerCase());
    reader = shotRowReader(columns);
    if (reader.ignored.length < columns.length) return;
    problems.push({ line, column: '', message: NO_SHOT_TABLE });
    return false;
  });
  if (!reader) problems.push({ line: 1, column: '', message: NO_SHOT_TABLE });
  return { problems, ignored: (reader as ReturnType<typeof shotRowReader> | null)?.ignored ?? [] };
}
const NO_SHOT_TABLE = 'This isn’t a shot table: it has no column this program knows.';

/** Reads a whole shot table. */
export function readShotTable(csv: string): { rows: ShotTableRow[]; problems: TableProblem[]; ignored: string[] } {
  const rows: ShotTableRow[] = [];
  return { rows, ...eachRow(csv, (row) => rows.push(row)) };
}

/** In which units a row says a length. */
const unitsSaid = (row: ShotTableRow, length: TableLength) => TABLE_UNITS.filter((unit) => row[`${length}_${unit}`] !== undefined);

/** A length of a row in metres, not snapped; undefined where it says none. */
export function metresOf(row: ShotTableRow, length: TableLength): number | undefined {
  const [unit] = unitsSaid(row, length);
  return unit && row[`${length}_${unit}`]! * METRES_PER[unit];
}

/** The column in which a row says a length: "left_ft". */
export const lengthColumn = (row: ShotTableRow, length: TableLength): string => `${length}_${unitsSaid(row, length)[0] ?? 'm'}`;

/** The length that a row says in more than one unit; undefined where there is none. */
export const saidTwice = (row: ShotTableRow): TableLength | undefined => TABLE_LENGTHS.find((length) => unitsSaid(row, length).length > 1);

/** The same as it is stored; null where it says none. */
export function storedLength(row: ShotTableRow, length: TableLength): number | null {
  const metres = metresOf(row, length);
  return metres === undefined ? null : snap(metres);
}

/** What is left in metres, exact or a ring; a holed ball has nothing left. */
export function leftOf(row: ShotTableRow): { holed: boolean; leftM: number | null; leftMinM: number | null; leftMaxM: number | null } {
  if (row.holed) return { holed: true, leftM: null, leftMinM: null, leftMaxM: null };
  const leftM = storedLength(row, 'left');
  if (leftM !== null) return { holed: false, leftM, leftMinM: null, leftMaxM: null };
  return { holed: false, leftM: null, leftMinM: storedLength(row, 'left_min'), leftMaxM: storedLength(row, 'left_max') };
}
