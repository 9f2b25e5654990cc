import Papa from 'papaparse';

/*
 * Cells of a table that people open in a spreadsheet: one that begins with = + - @ would be taken for a formula there. It goes out with an
 * apostrophe before it, and comes in again without.
 */
const FORMULA = /^'*[=+\-@\t\r]/;
const GUARDED = /^'+[=+\-@\t\r]/;

/** Rows as CSV with a header, harmless in a spreadsheet; nothing where there is nothing to say. */
export function writeCells<Column extends string>(
  columns: readonly Column[],
  rows: readonly Readonly<Record<Column, string | number | boolean | null>>[],
  withHead = true,
): string {
  if (rows.length === 0 && !withHead) return '';
  const text = Papa.unparse(
    { fields: [...columns], data: rows.map((row) => columns.map((column) => row[column])) },
    { newline: '\n', escapeFormulae: FORMULA, header: withHead },
  );
  return `${text}\n`;
}

/** A cell as it was before it was guarded. */
export const readCell = (text: string): string => (GUARDED.test(text) ? text.slice(1) : text);
