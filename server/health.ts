import 'server-only';
import { statfs } from 'node:fs/promises';
import { sql } from 'drizzle-orm';
import journal from '@/db/migrations/meta/_journal.json';
import { database } from './db';

/** What the program needs to do its work, and whether it is there. */
export type Health = { ok: boolean; database: boolean; migrations: boolean; disk: boolean };

/** With less free space than this nothing can be kept for long. */
const LEAST_FREE_BYTES = 200 << 20;
const NEWEST = Math.max(...journal.entries.map(({ when }) => when));

export async function healthOf(): Promise<Health> {
  const [schema, disk] = await Promise.all([newestMigration(), hasSpace()]);
  const [answers, migrations] = [schema !== null, schema !== null && schema >= NEWEST];
  return { ok: answers && migrations && disk, database: answers, migrations, disk };
}

/** When the newest migration that the database has was made, 0 where it has none; null where it does not answer. */
async function newestMigration(): Promise<number | null> {
  try {
    const { rows } = await database().execute<{ at: string | null }>(
      sql`select max(created_at)::text as at from drizzle.__drizzle_migrations`,
    );
    return Number(rows[0]!.at ?? 0);
  } catch {
    return database()
      .execute(sql`select 1`)
      .then(() => 0)
      .catch(() => null);
  }
}

/** Whether there is space where the database and the logs are, as far as they are on this machine. */
async function hasSpace(): Promise<boolean> {
  const { bavail, bsize } = await statfs(process.env.INCH_DATA ?? process.cwd());
  return bavail * bsize > LEAST_FREE_BYTES;
}
