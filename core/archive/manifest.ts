import * as z from 'zod';
import { versionOf } from '../document';
import { line, moment, whole } from '../stored';
import { ARCHIVE_VERSION, GONE, SINCE } from './row';
import { ARCHIVE_TABLES } from './tables';

const present = z.strictObject({
  format: z.literal('inch-game-archive'),
  /** Of the tables. */
  version: whole(1),
  madeAt: moment,
  /** Where it is from: an id that says nothing elsewhere. */
  academy: z.strictObject({ id: line(100), name: line(200) }),
  tables: z
    .array(
      z.strictObject({
        name: line(40),
        rows: whole(),
        bytes: z.int().min(0),
        /** Of the table as it stands in the archive, in hexadecimal. */
        sha256: z.string().regex(/^[0-9a-f]{64}$/),
      }),
    )
    .max(100),
});

/** What an archive says of itself: what is in it, and how to tell that nothing is missing. */
export type Manifest = z.infer<typeof present>;

export const MANIFEST_FILE = 'manifest.json';
/** Under which name a table stands in an archive: one row a line, as JSON. */
export const fileOf = (table: string): string => `tables/${table}.jsonl`;

/**
 * Reads what an archive says of itself.
 * @returns a sentence where it is no archive, one that this program can't read, or one with other tables than its version has
 */
export function readManifest(text: string): Manifest | string {
  let said: unknown;
  try {
    said = JSON.parse(text);
  } catch {
    return NO_ARCHIVE;
  }
  if ((said as { format?: unknown } | null)?.format !== 'inch-game-archive') return NO_ARCHIVE;
  if (versionOf(said) > ARCHIVE_VERSION) return 'This archive was made with a newer version of the program. Update this one first.';
  const read = present.safeParse(said);
  if (!read.success) return NO_ARCHIVE;
  const names = read.data.tables.map(({ name }) => name);
  const { version } = read.data;
  const due = ARCHIVE_TABLES.map(({ name }) => name).filter((name) => version >= (SINCE.get(name) ?? 1));
  const gone = (name: string) => version <= (GONE.get(name) ?? 0);
  if (new Set(names).size < names.length || names.some((name) => !due.includes(name) && !gone(name))) return NO_ARCHIVE;
  if (due.some((name) => !names.includes(name))) return 'This archive is not complete: a table is missing.';
  return read.data;
}

/** The sentence for a file that is none. */
export const NO_ARCHIVE = 'This isn’t an archive of this program.';
