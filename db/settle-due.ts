import { eq } from 'drizzle-orm';
import type { Db } from './client';
import { holdSession, settle } from './queries/projection';
import { session } from './schema';

const SESSIONS_AT_ONCE = 500;

/** Works out the scores of sessions that an older program ended, of all academies. @returns of how many */
export async function settleDue(db: Db): Promise<number> {
  for (let settled = 0; ;) {
    const due = await db
      .select({ academyId: session.academyId, sessionId: session.sessionId })
      .from(session)
      .where(eq(session.scoresDue, true))
      .limit(SESSIONS_AT_ONCE);
    for (const { academyId, sessionId } of due) {
      const actor = { kind: 'program', academyId } as const;
      await db.transaction(async (tx) => (await holdSession(tx, actor, sessionId)) && settle(tx, actor, sessionId));
    }
    settled += due.length;
    if (due.length < SESSIONS_AT_ONCE) return settled;
  }
}
