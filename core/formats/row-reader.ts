import * as z from 'zod';
import { isPlain } from '../stored';
import { decimal } from '../units/decimal';
import { readCell } from './cells';

/*
 * How the rows of a table are read: each column by its schema, what is wrong with its line and its column. Nothing is thrown.
 */

export type TableProblem = { line: number; column: string; message: string };
export type ReadRow<Row> = { row: Row & { line: number } } | { problems: TableProblem[] };

const blank = (value: unknown) =>
  typeof value === 'string' && value.trim() === '' ? undefined : typeof value === 'string' ? value.trim() : value;
/** A cell that may be empty. */
export const optional = <T extends z.ZodType>(schema: T) => z.preprocess(blank, schema.optional());
/** A number as people write it, a comma in it too; then what it has to be. */
export const number = (schema: z.ZodType<number, number> = z.number()) =>
  z
    .string()
    .transform(decimal)
    .pipe(z.number({ error: 'is not a number' }))
    .pipe(schema);
export const positive = number(z.number().gt(0, 'must be more than 0'));
export const notNegative = number(z.number().min(0, 'is negative'));
export const count = (least = -Infinity, tooLow = '', most = Infinity, tooHigh = '') =>
  number(z.number().refine(Number.isInteger, 'is not a whole number').min(least, tooLow).max(most, tooHigh));
export const word = <const T extends readonly [string, ...string[]]>(values: T) =>
  z.enum(values, { error: `isn’t one of ${values.join(', ')}` });
export const yesNo = z.stringbool({ truthy: ['true', 'yes', '1'], falsy: ['false', 'no', '0'], error: 'isn’t true or false' });
export const text = (most: number) =>
  z.string().max(most, `is longer than ${most} characters`).refine(isPlain, 'has a character that can’t be saved').normalize('NFC');
export const momentCell = z.iso.datetime({ offset: true, error: 'isn’t a date and time such as 2026-05-01T18:00:00Z' });

/** Most columns say the same few things all the way down: so many are kept as they were read. */
const KEPT = 1000;

/**
 * Reads the rows of one table.
 * @param columns as its head names them; those that the schema does not know are passed over
 */
export function rowReader<Schema extends z.ZodObject>(
  schema: Schema,
  columns: readonly string[],
): { ignored: string[]; read: (cells: readonly string[], line: number) => ReadRow<z.infer<Schema>> } {
  const shape = schema.shape as Record<string, z.ZodType>;
  const readers = columns.map((name) => (Object.hasOwn(shape, name) ? fieldReader(shape[name]!) : null));
  return {
    ignored: columns.filter((_, i) => readers[i] === null),
    read(cells, line) {
      const row: Record<string, unknown> = { line };
      const problems: TableProblem[] = [];
      for (let i = 0; i < columns.length; i++) {
        const cell = readCell(cells[i] ?? '');
        const field = readers[i]?.(cell);
        const column = columns[i]!;
        if (field?.success) row[column] = field.data;
        else
          for (const { message } of field?.error.issues ?? []) problems.push({ line, column, message: `${column} “${cell}” ${message}` });
      }
      return problems.length === 0 ? { row: row as z.infer<Schema> & { line: number } } : { problems };
    },
  };
}

function fieldReader(schema: z.ZodType): (cell: string) => z.ZodSafeParseResult<unknown> {
  const known = new Map<string, z.ZodSafeParseResult<unknown>>();
  return (cell) => {
    let found = known.get(cell);
    if (!found) {
      found = schema.safeParse(cell);
      if (known.size < KEPT) known.set(cell, found);
    }
    return found;
  };
}
