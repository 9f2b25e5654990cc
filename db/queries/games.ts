import type { GameSpec } from '@/core/game/spec';
import { and, count, desc, eq, isNotNull, isNull, max, sql } from 'drizzle-orm';
import type { Actor } from '../actor';
import type { Db } from '../client';
import { game, session } from '../schema';
import { newestGame, newestGreen, newestVersions, writeVersion, type GameRow } from './game-versions';
import { same } from './same';

export { newestGame as getGame, type GameRow } from './game-versions';

/**
 * The newest version of each game that stands in the lists, the newest first, and when a session of it last began.
 * @param archived those that were put away, instead of those in use
 */
export async function listGames(db: Db, actor: Actor, archived = false): Promise<(GameRow & { lastAt: Date | null })[]> {
  const newest = newestVersions(db, actor);
  const last = db
    .select({ at: max(session.startedAt) })
    .from(session)
    .where(and(eq(session.academyId, game.academyId), eq(session.gameId, game.gameId)));
  return db
    .select({
      gameId: game.gameId,
      version: newest.version,
      spec: newest.spec,
      greenId: newest.greenId,
      greenVersion: newest.greenVersion,
      createdAt: newest.createdAt,
      archivedAt: game.archivedAt,
      lastAt: sql<Date | null>`(${last})`.mapWith(session.startedAt),
    })
    .from(game)
    .innerJoin(newest, eq(newest.gameId, game.gameId))
    .where(and(eq(game.academyId, actor.academyId), game.listed, archived ? isNotNull(game.archivedAt) : isNull(game.archivedAt)))
    .orderBy(desc(game.createdAt), game.gameId);
}

/** How many sessions were begun of each game that was ever played. */
export async function sessionsOfGames(db: Db, actor: Actor): Promise<Map<string, number>> {
  const rows = await db
    .select({ gameId: session.gameId, sessions: count() })
    .from(session)
    .where(eq(session.academyId, actor.academyId))
    .groupBy(session.gameId);
  return new Map(rows.flatMap(({ gameId, sessions }) => (gameId === null ? [] : [[gameId, sessions]])));
}

/**
 * Saves a game. A version that has results stays as it is and a new one is made; one without results is replaced.
 * Saving what is there already changes nothing, so that sending a form twice does no harm.
 * @param greenId the green on whose newest plan its stations stand; without a station that does, it stands on none
 * @param basedOn when what was changed had been written (null: it was not saved yet); without it nothing is checked
 * @returns the version that now holds the spec; null where the game was changed elsewhere meanwhile: nothing is saved then
 */
export async function saveGame(
  db: Db,
  actor: Actor,
  gameId: string,
  spec: GameSpec,
  greenId: string | null = null,
  basedOn?: Date | null,
  listed = true,
): Promise<number | null> {
  const { academyId } = actor;
  return db.transaction(async (tx) => {
    // Whoever saves one that was made for an hour keeps it.
    await tx
      .insert(game)
      .values({ academyId, gameId, listed })
      .onConflictDoUpdate({ target: [game.academyId, game.gameId], set: listed ? { listed } : { gameId } });
    await tx
      .select()
      .from(game)
      .where(and(eq(game.academyId, academyId), eq(game.gameId, gameId)))
      .for('update');
    const latest = await newestGame(tx, actor, gameId);
    const unchanged = latest !== null && same(latest.spec, spec);
    if (basedOn !== undefined && !unchanged && latest?.createdAt.getTime() !== basedOn?.getTime()) return null;
    const proposed = (spec.calls.next ?? []).map(({ station }) => station);
    const placed = [...spec.stations, ...proposed].some((station) => station.place !== null);
    const green = placed && greenId ? await newestGreen(tx, actor, greenId) : null;
    const link = { greenId: green?.greenId ?? null, greenVersion: green?.version ?? null };
    return writeVersion(tx, actor, gameId, spec, link);
  });
}

/** Puts a game away, or brings it back; its results stay. */
export async function archiveGame(db: Db, actor: Actor, gameId: string, archived: boolean): Promise<void> {
  await db
    .update(game)
    .set({ archivedAt: archived ? sql`coalesce(${game.archivedAt}, now())` : null })
    .where(and(eq(game.academyId, actor.academyId), eq(game.gameId, gameId)));
}

/** The game whose newest version is exactly this one and that is in use; null if the academy has none. */
export async function findGame(db: Db, actor: Actor, spec: GameSpec): Promise<string | null> {
  return (await listGames(db, actor)).find((row) => same(row.spec, spec))?.gameId ?? null;
}
