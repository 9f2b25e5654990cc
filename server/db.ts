import 'server-only';
import type { Pool } from 'pg';
import { CONNECTIONS, openDb, type Db } from '@/db/client';
import { env } from './env';

const held = globalThis as { inchGameDb?: ReturnType<typeof openDb> };
const opened = () => (held.inchGameDb ??= openDb(env().DATABASE_URL));

/** The server's database, opened when first asked for and kept over reloads in development. */
export function database(): Db {
  return opened().db;
}

/** The connections behind it, for a library that asks by itself. */
export function pool(): Pool {
  return opened().pool;
}

/** So many connections may be busy with balls at once; the others are for whoever reads. */
export const WRITERS = CONNECTIONS / 2;
