import { and, eq, sql, type SQL } from 'drizzle-orm';
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

/** The least and the greatest score in the present version of each game, over all players whom the actor sees, and whose each is. */
export async function bestOfGames(
  db: Db,
  actor: Actor,
): Promise<{ gameId: string; least: { score: number; name: string }; most: { score: number; name: string } }[]> {
  const rows = await bestsOf(db, actor);
  const names = new Map(
    (await db.select({ playerId: player.playerId, name: player.name }).from(player).where(eq(player.academyId, actor.academyId))).map(
      (one) => [one.playerId, one.name],
    ),
  );
  const found = new Map<string, { gameId: string; least: { score: number; name: string }; most: { score: number; name: string } }>();
  for (const { gameId, playerId, least, most } of rows) {
    if (gameId === null) continue;
    const name = names.get(playerId) ?? '';
    const before = found.get(gameId);
    found.set(gameId, {
      gameId,
      least: before && before.least.score <= least ? before.least : { score: least, name },
      most: before && before.most.score >= most ? before.most : { score: most, name },
    });
  }
  return [...found.values()];
}
