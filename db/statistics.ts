import { sql } from 'drizzle-orm';
import type { Db } from './client';

/**
 * After so many new rows the database is told to look how many there are: by itself it does so within a minute, and until then it takes a way through
 * them that is good for a few (a page of the logbook took more than 15 s after 10,000 new sessions).
 */
const MANY = 500;

/** Has the database look how many rows of files stand aside. */
export async function lookAtAside(db: Db): Promise<void> {
  await db.execute(sql`analyze import_row`).catch(() => undefined);
}

/** Has the database look how many balls and sessions there are, where many came at once. That somebody else has it look just now does no harm. */
export async function lookAfter(db: Db, rows: number): Promise<void> {
  if (rows >= MANY) await db.execute(sql`analyze session, session_player, shot, shot_event`).catch(() => undefined);
}
