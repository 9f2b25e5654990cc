import { sayIssue } from '../stored';
import type { ArchiveTable } from './tables';

type Row = Record<string, unknown>;

const NEW_IN_3: Readonly<Record<string, Row>> = { player: { born_year: null }, academy: { keep_years: null } };

/** How tables of an archive changed, step by step: each brings a row to the next version, or leaves it out (`null`). */
const STEPS: readonly ((table: string, row: Row) => Row | null)[] = [
  // Version 2 has groups.
  (_table, row) => row,
  // Version 3 has families, and how long sessions are kept.
  (table, row) => ({ ...row, ...NEW_IN_3[table] }),
];
/** The version that this program writes. */
export const ARCHIVE_VERSION = STEPS.length + 1;

/** Tables of older versions in which nothing ever was, and the last version that had them. */
export const GONE: ReadonlyMap<string, number> = new Map([
  ['squad', 1],
  ['squad_member', 1],
]);
/** Tables that came later, and the first version that has them. */
export const SINCE: ReadonlyMap<string, number> = new Map([
  ['player_group', 2],
  ['group_player', 2],
  ['guardian', 3],
  ['consent', 3],
]);

/** What is wrong with an archive, as a sentence: nothing of it is kept. */
export class BrokenArchive extends Error {}

/**
 * Reads the lines of a table of an archive of some version, in the present shape.
 * @returns of a line its row; null where there is no such row any more
 * @throws {BrokenArchive} with a sentence that names the table and the line
 */
export function rowReader(table: ArchiveTable, version: number): (line: string, number: number) => Row | null {
  const steps = STEPS.slice(version - 1);
  return (line, number) => {
    const where = `Line ${number} of ${table.name}`;
    let said: unknown;
    try {
      said = JSON.parse(line);
    } catch {
      throw new BrokenArchive(`${where} can’t be read.`);
    }
    if (typeof said !== 'object' || said === null || Array.isArray(said)) throw new BrokenArchive(`${where} can’t be read.`);
    const row = steps.reduce<Row | null>((older, step) => older && step(table.name, older), said as Row);
    if (row === null) return null;
    const read = table.row.safeParse(row);
    if (!read.success) throw new BrokenArchive(`${where}: ${sayIssue(read.error)}`);
    return read.data;
  };
}
