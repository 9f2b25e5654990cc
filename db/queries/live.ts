import { sql } from 'drizzle-orm';
import type { Actor } from '../actor';
import type { Db } from '../client';

/** The channel on which the instances of the program tell each other what changed. */
export const LIVE_CHANNEL = 'inch_live';

/** What changed about a session: its balls, what else is said about it, or there is a reading for it. */
export type Change = 'facts' | 'session' | 'reading';
export type Told = { academyId: string; sessionId: string; change: Change };

/** Tells every instance that a session changed, once the transaction is through. */
export async function tellSession(db: Db, actor: Actor, sessionId: string, change: Change): Promise<void> {
  const told: Told = { academyId: actor.academyId, sessionId, change };
  await db.execute(sql`select pg_notify(${LIVE_CHANNEL}, ${JSON.stringify(told)})`);
}
