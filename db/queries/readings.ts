import { and, desc, eq, gt, max } from 'drizzle-orm';
import type { Reading } from '@/core/exchange/reading';
import type { Actor } from '../actor';
import type { Db } from '../client';
import { reading } from '../schema';

/**
 * Takes in what a device read for a session.
 * @returns false, and nothing is changed, for a reading that is there already or comes after a newer one of its device
 */
export async function takeReading(db: Db, actor: Actor, key: { keyId: string; sessionId: string }, one: Reading): Promise<boolean> {
  const { academyId } = actor;
  return db.transaction(async (tx) => {
    const [newest] = await tx
      .select({ seq: max(reading.seq) })
      .from(reading)
      .where(and(eq(reading.academyId, academyId), eq(reading.keyId, key.keyId), eq(reading.sessionId, key.sessionId)));
    if (newest?.seq != null && newest.seq >= one.seq) return false;
    const { readingId, seq, distanceM } = one;
    const stored = await tx
      .insert(reading)
      .values({ academyId, ...key, readingId, seq, distanceM })
      .onConflictDoNothing()
      .returning({ id: reading.readingId });
    if (stored.length === 0) return false;
    return true;
  });
}

/** The newest reading for a session since a moment; null where there is none. */
export async function newestReading(
  db: Db,
  actor: Actor,
  sessionId: string,
  since: Date,
): Promise<{ readingId: string; distanceM: number; receivedAt: Date } | null> {
  const { readingId, distanceM, receivedAt } = reading;
  const [row] = await db
    .select({ readingId, distanceM, receivedAt })
    .from(reading)
    .where(and(eq(reading.academyId, actor.academyId), eq(reading.sessionId, sessionId), gt(reading.receivedAt, since)))
    .orderBy(desc(reading.receivedAt), desc(reading.seq))
    .limit(1);
  return row ?? null;
}
