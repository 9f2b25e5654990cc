import { subYears } from 'date-fns';
import { and, eq, inArray, isNotNull, lt, sql } from 'drizzle-orm';
import type { Actor } from '../actor';
import type { Db } from '../client';
import { academy, session, sessionPlayer, shot } from '../schema';
import { countPlayers } from './projection';

/** What goes when sessions are kept for so long only. */
export type Retention = { sessions: number; balls: number; players: number; oldest: Date | null };

const older = ({ academyId }: Actor, years: number, now: Date) =>
  and(eq(session.academyId, academyId), lt(session.startedAt, subYears(now, years)));

/** What would go, or is due, if sessions were kept for so many years. */
export async function whatRetentionTakes(db: Db, actor: Actor, years: number): Promise<Retention> {
  const due = older(actor, years, new Date());
  const joined = and(eq(shot.academyId, session.academyId), eq(shot.sessionId, session.sessionId));
  const entered = and(eq(sessionPlayer.academyId, session.academyId), eq(sessionPlayer.sessionId, session.sessionId));
  const [[sessions], [balls], [players]] = await Promise.all([
    db
      .select({ n: sql<number>`count(*)::int`, oldest: sql<Date | null>`min(${session.startedAt})`.mapWith(session.startedAt) })
      .from(session)
      .where(due),
    db
      .select({ n: sql<number>`coalesce(sum(${shot.nBalls}), 0)::int` })
      .from(session)
      .innerJoin(shot, joined)
      .where(due),
    db
      .select({ n: sql<number>`count(distinct ${sessionPlayer.playerId})::int` })
      .from(session)
      .innerJoin(sessionPlayer, entered)
      .where(due),
  ]);
  return { sessions: sessions!.n, balls: balls!.n, players: players!.n, oldest: sessions!.oldest };
}

/** Says for how many years sessions are kept; null: for ever. What is older goes within the hour. */
export async function saveRetention(db: Db, actor: Actor, keepYears: number | null): Promise<void> {
  await db.update(academy).set({ keepYears }).where(eq(academy.academyId, actor.academyId));
}

/** So many sessions go in one transaction. */
const AT_ONCE = 200;

/**
 * Deletes the sessions that academies keep no longer, with balls, notes and results; what is believed of their players is worked out anew.
 * @returns how many went
 */
export async function forgetOld(db: Db, now: Date): Promise<number> {
  const keeping = await db.select().from(academy).where(isNotNull(academy.keepYears));
  let gone = 0;
  for (const { academyId, keepYears } of keeping) {
    const actor = { kind: 'program', academyId } as const;
    for (let went = AT_ONCE; went === AT_ONCE; gone += went) went = await forgetSome(db, actor, keepYears!, now);
  }
  return gone;
}

function forgetSome(db: Db, actor: Actor, years: number, now: Date): Promise<number> {
  const { academyId } = actor;
  return db.transaction(async (tx) => {
    const due = await tx
      .select({ id: session.sessionId })
      .from(session)
      .where(older(actor, years, now))
      .limit(AT_ONCE);
    const ids = due.map(({ id }) => id);
    if (ids.length === 0) return 0;
    const inThem = and(eq(sessionPlayer.academyId, academyId), inArray(sessionPlayer.sessionId, ids));
    const who = await tx.selectDistinct({ id: sessionPlayer.playerId }).from(sessionPlayer).where(inThem);
    await tx.delete(session).where(and(eq(session.academyId, academyId), inArray(session.sessionId, ids)));
    await countPlayers(
      tx,
      actor,
      who.map(({ id }) => id),
    );
    return ids.length;
  });
}
