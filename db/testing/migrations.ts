import { cpSync, mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

export const MIGRATIONS = join(__dirname, '../migrations');
type Journal = { entries: { tag: string }[] };
const read = (folder: string) => JSON.parse(readFileSync(join(folder, 'meta/_journal.json'), 'utf8')) as Journal;

/** The names of all migrations, the oldest first. */
export const journal = (): string[] => read(MIGRATIONS).entries.map(({ tag }) => tag);

/** The migrations up to one of them, in a folder of their own, which is to be removed. */
export function upTo(last: string): string {
  const folder = mkdtempSync(join(tmpdir(), 'inch-migrations-'));
  cpSync(MIGRATIONS, folder, { recursive: true });
  const all = read(folder);
  const end = all.entries.findIndex(({ tag }) => tag === last);
  writeFileSync(join(folder, 'meta/_journal.json'), JSON.stringify({ ...all, entries: all.entries.slice(0, end + 1) }));
  return folder;
}
