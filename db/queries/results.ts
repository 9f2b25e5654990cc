import type { GameSpec } from '@/core/game/spec';
import { asCounted, withoutGame } from '@/core/imports/kept';
import { goalMet } from '@/core/play/play';
import { group } from 'd3-array';
import { and, eq, inArray, isNotNull, isNull, sql } from 'drizzle-orm';
import type { Actor } from '../actor';
import type { Db } from '../client';
import { gameVersion, player, session, sessionPlayer } from '../schema';
import { newestVersions } from './game-versions';
import { saveNote } from './notes';

/*
 * Results without balls: a session that has a score and nothing else. They come in with a file, or are noted one by one.
 */

export type GameKnown = { gameId: string; version: number; spec: GameSpec; newest: boolean };

/** Games of the academy by their titles, in all their versions. */
export async function gamesNamed(db: Db, actor: Actor, titles: readonly string[]): Promise<Map<string, GameKnown[]>> {
  const title = sql<string>`${gameVersion.spec} ->> 'title'`;
  const newest = newestVersions(db, actor);
  const rows = await db
    .select({ gameId: gameVersion.gameId, version: gameVersion.version, spec: gameVersion.spec, newest: newest.version })
    .from(gameVersion)
    .innerJoin(newest, eq(newest.gameId, gameVersion.gameId))
    .where(and(eq(gameVersion.academyId, actor.academyId), inArray(title, [...titles])));
  return group(
    rows.map((row) => ({ ...row, newest: row.newest === row.version })),
    ({ spec }) => spec.title,
  );
}

/** The game of ours that is meant, where it can be only one. @param version null: the newest */
export function gameMeant(games: readonly GameKnown[] = [], version: number | null): GameKnown | null {
  const of = games.filter((game) => (version === null ? game.newest : game.version === version));
  return of.length === 1 ? of[0]! : null;
}

export type NotedResult = {
  sessionId: string;
  playerId: string;
  level: number;
  playedAt: string;
  title: string;
  score: number;
  unit: string;
  note: string;
};

/** The rows of a result: of a game of ours where its unit fits, else as a plain number. */
export function resultRows(
  academyId: string,
  { sessionId, playerId, level, playedAt, title, score, unit, note }: NotedResult,
  meant: GameKnown | null,
): { session: typeof session.$inferInsert; seat: typeof sessionPlayer.$inferInsert; said: string } {
  const at = new Date(playedAt);
  const counted = meant && asCounted(meant.spec, score, unit);
  const game = meant && counted !== null ? meant : null;
  const spec = game?.spec ?? withoutGame(title);
  const kept = counted ?? score;
  return {
    session: {
      ...{ academyId, sessionId, spec, gameId: game?.gameId ?? null, gameVersion: game?.version ?? null },
      ...{ startedAt: at, completedAt: at, given: unit, balls: 0 },
    },
    seat: {
      ...{ academyId, sessionId, playerId, position: 0, level },
      ...{ score: kept, met: game ? goalMet(spec, kept) : null },
    },
    said: note,
  };
}

/** Notes a result; saying it twice with the same id notes it once. @returns false if the academy has no such player */
export async function addResult(db: Db, actor: Actor, result: Omit<NotedResult, 'level'>): Promise<boolean> {
  const { academyId } = actor;
  return db.transaction(async (tx) => {
    const [who] = await tx
      .select({ level: player.level })
      .from(player)
      .where(and(eq(player.academyId, academyId), eq(player.playerId, result.playerId), isNull(player.erasedAt)))
      .for('key share');
    if (!who) return false;
    const games = await gamesNamed(tx, actor, [result.title]);
    const rows = resultRows(academyId, { ...result, ...who }, gameMeant(games.get(result.title), null));
    const fresh = await tx.insert(session).values(rows.session).onConflictDoNothing().returning({ id: session.sessionId });
    if (fresh.length > 0) {
      await tx.insert(sessionPlayer).values(rows.seat);
      await saveNote(tx, actor, result.sessionId, result.playerId, 'coach', rows.said);
    }
    return true;
  });
}

/** Takes a noted result away; a session that was played stays. */
export async function removeResult(db: Db, actor: Actor, sessionId: string): Promise<void> {
  await db.delete(session).where(and(eq(session.academyId, actor.academyId), eq(session.sessionId, sessionId), isNotNull(session.given)));
}
