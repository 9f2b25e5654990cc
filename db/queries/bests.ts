import { and, asc, desc, eq, isNotNull, sql, type SQL } from 'drizzle-orm';
import type { Actor } from '../actor';
import type { Db } from '../client';
import { player, session, sessionPlayer } from '../schema';
import { newestVersions } from './game-versions';
import { seen } from './seen';

/** The least and the greatest score of each player in the present version of a game, and of how many sessions. */
export function bestsOf(db: Db, actor: Actor, theirs?: SQL) {
  const { academyId } = actor;
  const newest = newestVersions(db, actor);
  const score = { least: sql<number>`min(${sessionPlayer.score})`, most: sql<number>`max(${sessionPlayer.score})` };
  return db
    .select({ playerId: sessionPlayer.playerId, gameId: session.gameId, ...score, sessions: sql<number>`count(*)::int` })
    .from(session)
    .innerJoin(newest, and(eq(newest.gameId, session.gameId), eq(newest.version, session.gameVersion)))
    .innerJoin(sessionPlayer, and(eq(sessionPlayer.academyId, session.academyId), eq(sessionPlayer.sessionId, session.sessionId)))
    .where(and(eq(session.academyId, academyId), sql`${sessionPlayer.score} is not null`, seen(actor, sessionPlayer.playerId), theirs))
    .groupBy(sessionPlayer.playerId, session.gameId);
}

type Scored = { score: number; name: string };

/** The least and the greatest score in the present version of each game, over all players whom the actor sees, and whose each is. */
export async function bestOfGames(db: Db, actor: Actor): Promise<{ gameId: string; least: Scored; most: Scored }[]> {
  const newest = newestVersions(db, actor);
  // Game by game, from either end of an index: there are a few games, and scores by the ten thousand.
  const first = (order: SQL) => {
    const one = db
      .select({ one: sql`jsonb_build_object('score', ${sessionPlayer.score}, 'name', ${player.name})` })
      .from(sessionPlayer)
      .innerJoin(player, and(eq(player.academyId, sessionPlayer.academyId), eq(player.playerId, sessionPlayer.playerId)))
      .where(
        and(
          eq(sessionPlayer.academyId, actor.academyId),
          eq(sessionPlayer.gameId, newest.gameId),
          eq(sessionPlayer.gameVersion, newest.version),
          isNotNull(sessionPlayer.score),
          seen(actor, sessionPlayer.playerId),
        ),
      )
      .orderBy(order)
      .limit(1);
    return sql<Scored | null>`(${one})`;
  };
  const rows = await db
    .select({ gameId: newest.gameId, least: first(asc(sessionPlayer.score)), most: first(desc(sessionPlayer.score)) })
    .from(newest);
  return rows.flatMap(({ gameId, least, most }) => (least && most ? [{ gameId, least, most }] : []));
}
