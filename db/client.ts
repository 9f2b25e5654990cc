import { drizzle, type NodePgDatabase } from 'drizzle-orm/node-postgres';
import { Pool } from 'pg';
import * as schema from './schema';

export type Db = NodePgDatabase<typeof schema>;

/** Connections of one instance of the program. */
export const CONNECTIONS = 10;

/** How long the program waits for its database: nothing that somebody looks at takes so long, and what does is in trouble. */
const WAITS = { statement_timeout: 15_000, lock_timeout: 10_000, idle_in_transaction_session_timeout: 10_000 };

/**
 * Opens a pool of connections. The caller ends it with `pool.end()`.
 * @param patient for what takes its time: a migration, a rebuild
 */
export function openDb(url: string, { patient = false } = {}): { db: Db; pool: Pool } {
  const pool = new Pool({ connectionString: url, max: CONNECTIONS, connectionTimeoutMillis: 5_000, ...(patient ? {} : WAITS) });
  // A database that goes away ends the idle connections; the next question opens new ones, or says that it can't.
  pool.on('error', () => undefined);
  return { db: drizzle(pool, { schema, casing: 'snake_case' }), pool };
}
