import { sql } from 'drizzle-orm';
import type { Db } from './client';

/** After so many new rows the database is told to look how many there are: by itself it does so within a minute, and goes wrong ways until then. */
const MANY = 5_000;

/** Has the database look how many balls and sessions there are, where many came at once. That somebody else has it look just now does no harm. */
export async function lookAfter(db: Db, rows: number): Promise<void> {
  if (rows >= MANY) await db.execute(sql`analyze session, session_player, shot, shot_event`).catch(() => undefined);
}
