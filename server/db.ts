import 'server-only';
import type { Pool } from 'pg';
import { CONNECTIONS, openDb, type Db } from '@/db/client';
import { env } from './env';
import { gauge } from './metrics';

const held = globalThis as { inchGameDb?: ReturnType<typeof openDb> };
function opened() {
  if (held.inchGameDb) return held.inchGameDb;
  const { db, pool: own } = openDb(env().DATABASE_URL);
  gauge('connections_busy', () => own.totalCount - own.idleCount);
  gauge('connections_waiting', () => own.waitingCount);
  return (held.inchGameDb = { db, pool: own });
}

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
