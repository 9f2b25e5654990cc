import { Pool } from 'pg';

let pool: Pool | undefined;

/** Asks the database under test directly, for what no screen shows. */
export async function ask<Row extends object>(sql: string, ...values: unknown[]): Promise<Row[]> {
  pool ??= new Pool({ connectionString: process.env.E2E_DATABASE_URL, max: 2 });
  return (await pool.query<Row>(sql, values)).rows;
}
