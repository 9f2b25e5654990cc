import 'server-only';
import { CONNECTIONS, openDb, type Db } from '@/db/client';
import { env } from './env';

const held = globalThis as { inchGameDb?: Db };

/** The server's database, opened when first asked for and kept over reloads in development. */
export function database(): Db {
  return (held.inchGameDb ??= openDb(env().DATABASE_URL).db);
}

/** So many connections may be busy with balls at once; the others are for whoever reads. */
export const WRITERS = CONNECTIONS / 2;
