import { and, count, eq, exists, inArray, sql, type SQL } from 'drizzle-orm';
import type { PgColumn } from 'drizzle-orm/pg-core';
import { seenBy, type Actor } from '../actor';
import type { Db } from '../client';
import { sessionPlayer } from '../schema';

/** Whom an actor sees, by a column with a player's id; undefined where that is everybody. */
export function seen(actor: Actor, playerId: PgColumn): SQL | undefined {
  const players = seenBy(actor);
  return players === null ? undefined : inArray(playerId, [...players]);
}

/** Sessions in which somebody plays whom the actor sees, by a column with a session's id; undefined where that is all of them. */
export function seenSession(db: Db, actor: Actor, sessionId: PgColumn): SQL | undefined {
  const players = seenBy(actor);
  if (players === null) return undefined;
  const entry = and(
    eq(sessionPlayer.academyId, actor.academyId),
    eq(sessionPlayer.sessionId, sessionId),
    seen(actor, sessionPlayer.playerId),
  );
  return exists(
    db
      .select({ one: sql`1` })
      .from(sessionPlayer)
      .where(entry),
  );
}

/** Whether in each of these sessions somebody plays whom the actor sees. */
export async function seesSessions(db: Db, actor: Actor, sessionIds: readonly string[]): Promise<boolean> {
  if (seenBy(actor) === null || sessionIds.length === 0) return true;
  const [row] = await db
    .select({ sessions: count(sql`distinct ${sessionPlayer.sessionId}`) })
    .from(sessionPlayer)
    .where(
      and(
        eq(sessionPlayer.academyId, actor.academyId),
        inArray(sessionPlayer.sessionId, [...sessionIds]),
        seen(actor, sessionPlayer.playerId),
      ),
    );
  return row!.sessions === new Set(sessionIds).size;
}
