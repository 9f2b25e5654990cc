import { migrate } from 'drizzle-orm/node-postgres/migrator';
import { openDb } from '@/db/client';
import { authOrganization } from '@/db/schema';
import { loadDemo } from './demo-data';

/** Brings the schema up to date; with --demo, fills a database that has no academy yet. */
const { db, pool } = openDb(process.env.DATABASE_URL ?? '', { patient: true });
try {
  await migrate(db, { migrationsFolder: new URL('../db/migrations', import.meta.url).pathname });
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
