import 'server-only';
import { sql } from 'drizzle-orm';
import { openDb, type Db } from '@/db/client';
import { env } from './env';

const held = globalThis as { inchGameDb?: Db };

/** The server's database, opened when first asked for and kept over reloads in development. */
export function database(): Db {
  return (held.inchGameDb ??= openDb(env().DATABASE_URL).db);
}

/** Whether the database answers at all. */
export async function databaseAnswers(): Promise<boolean> {
  return database()
    .execute(sql`select 1`)
    .then(() => true)
    .catch(() => false);
}
