import { drizzle, type NodePgDatabase } from 'drizzle-orm/node-postgres';
import { Pool } from 'pg';
import * as schema from './schema';

export type Db = NodePgDatabase<typeof schema>;

/** Opens a pool of connections. The caller ends it with `pool.end()`. */
export function openDb(url: string): { db: Db; pool: Pool } {
  const pool = new Pool({ connectionString: url, max: 10, connectionTimeoutMillis: 5_000 });
  // A database that goes away ends the idle connections; the next question opens new ones, or says that it can't.
  pool.on('error', () => undefined);
  return { db: drizzle(pool, { schema, casing: 'snake_case' }), pool };
}
