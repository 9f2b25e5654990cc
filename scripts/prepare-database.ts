import { sql, type SQL } from 'drizzle-orm';
import { migrate } from 'drizzle-orm/node-postgres/migrator';
import { openDb } from '@/db/client';
import { newerDocuments } from '@/db/newer-documents';
import { settleDue } from '@/db/settle-due';
import { authOrganization } from '@/db/schema';
import { loadDemo } from './demo-data';

/**
 * Brings the schema up to date; with --demo, fills a database that has no academy yet; with --role=NAME, lets that role read and write rows,
 * and nothing else.
 */
const { db, pool } = openDb(process.env.DATABASE_URL ?? '', { patient: true });
try {
  await migrate(db, { migrationsFolder: new URL('../db/migrations', import.meta.url).pathname });
  const newer = await newerDocuments(db);
  if (newer.length > 0) throw new Error(`a newer version of the program made ${newer.join(' and ')} in it. Start that version.`);
  const settled = await settleDue(db);
  if (settled > 0) console.log(`Worked out what was scored in ${settled} sessions of an older version.`);
  const role = process.argv.find((one) => one.startsWith('--role='))?.slice('--role='.length);
  if (role) for (const grant of grantsTo(role)) await db.execute(grant);
  if (process.argv.includes('--demo') && (await db.$count(authOrganization)) === 0) {
    console.log('Loading the demo academy …');
    await loadDemo(db, new Date());
  }
} catch (error) {
  const reason = error instanceof Error ? ((error.cause as Error | undefined)?.message ?? error.message) : String(error);
  console.error(`The database can't be used: ${reason}`);
  process.exitCode = 1;
} finally {
  await pool.end();
}

/** What a role may do: with rows everything, with the schema nothing. */
function grantsTo(role: string): SQL[] {
  const name = sql.identifier(role);
  return [
    sql`grant usage on schema public, drizzle to ${name}`,
    sql`grant select, insert, update, delete on all tables in schema public to ${name}`,
    sql`grant usage, select on all sequences in schema public to ${name}`,
    sql`grant execute on all functions in schema public to ${name}`,
    sql`grant select on all tables in schema drizzle to ${name}`,
  ];
}
