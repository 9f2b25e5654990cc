import Papa from 'papaparse';
import * as z from 'zod';
import { bandsOf } from '../golf/bands';
import { say, shotTypeSchema, surfaceSchema } from '../golf/words';
import { METRES_PER } from '../units/length';
import { cellKey, type Cell } from '../skill/cells';
import type { TableProblem } from './row-reader';

/** A coach's own yardstick: expected strokes to hole out, by cell key. */
export const ownReferenceSchema = z.record(z.string().max(50), z.number().min(1).max(9));
export type OwnReference = z.infer<typeof ownReferenceSchema>;

const rowSchema = z.object({
  shot_type: shotTypeSchema,
  surface: surfaceSchema,
  band_min: z.coerce.number({ error: 'is not a number' }),
  expected_strokes: z.preprocess(
    (text) => (String(text ?? '').trim() === '' ? undefined : text),
    z.coerce.number({ error: 'is no number' }).min(1, 'is less than one stroke').max(9, 'is more than nine strokes'),
  ),
});

/**
 * Reads a table of expected strokes: CSV with a header row and the columns `shot_type`, `surface`, `band_min` and
 * `expected_strokes`; others are passed over. A `level`, if there is one, is the same in all rows.
 */
export function readReferenceTable(csv: string, cells: readonly Cell[]): { reference: OwnReference; problems: TableProblem[] } {
  const parsed = Papa.parse<Record<string, string>>(csv.replace(/^\uFEFF/, '').trim(), {
    header: true,
    skipEmptyLines: true,
    transformHeader: (name) => name.trim().toLowerCase(),
  });
  const columns = parsed.meta.fields ?? [];
  const missing = Object.keys(rowSchema.shape).filter((name) => !columns.includes(name));
  if (missing.length > 0)
    return {
      reference: {},
      problems: [{ line: 1, column: missing[0]!, message: `this isn’t a reference table: ${missing.join(', ')} is missing` }],
    };
  const known = new Map(cells.map((cell) => [cell.key, cell]));
  const reference: OwnReference = {};
  const problems: TableProblem[] = [];
  if (parsed.data.length === 0) problems.push({ line: 1, column: '', message: 'it has no rows' });
  if (new Set(parsed.data.map(({ level }) => level ?? '')).size > 1)
    problems.push({ line: 1, column: 'level', message: 'it holds several levels: keep the rows of one' });
  parsed.data.forEach((fields, i) => {
    const line = i + 2;
    const row = rowSchema.safeParse(fields);
    if (!row.success) {
      for (const issue of row.error.issues) {
        const column = String(issue.path[0] ?? '');
        problems.push({ line, column, message: `${column} “${fields[column] ?? ''}” ${issue.message}` });
      }
      return;
    }
    const { shot_type: shotType, surface, band_min, expected_strokes } = row.data;
    const band = bandsOf(shotType).find(({ min }) => min === band_min);
    const key = band && cellKey(shotType, surface, (band.min + 0.01) * METRES_PER[band.unit]);
    if (!key || !known.has(key))
      problems.push({ line, column: 'band_min', message: `there is no skill “${say(shotType)}, ${say(surface)}, from ${band_min}”` });
    else if (reference[key] !== undefined) problems.push({ line, column: 'band_min', message: 'this skill is in another row too' });
    else reference[key] = expected_strokes;
  });
  return { reference, problems };
}

/** A reference as such a table, with what a level needs where the coach gave nothing: what can be changed and read again. */
export function writeReferenceTable(cells: readonly Cell[], expected: readonly number[]): string {
  return `${Papa.unparse(
    cells.map(({ shotType, surface, band }, i) => ({
      shot_type: shotType,
      surface,
      band_min: band.min,
      band_max: band.max ?? '',
      unit: band.unit,
      expected_strokes: expected[i]!.toFixed(3),
    })),
    { newline: '\n' },
  )}\n`;
}
