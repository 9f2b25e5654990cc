import { createHash } from 'node:crypto';
import type { GameSpec } from '@/core/game/spec';
import { and, count, desc, eq, isNotNull, isNull, sql } from 'drizzle-orm';
import type { Actor } from '../actor';
import type { Db } from '../client';
import { game, gameVersion, session } from '../schema';

export type GameRow = { gameId: string; version: number; spec: GameSpec; hash: string; createdAt: Date; archivedAt: Date | null };

/** SHA-256 of a spec, independent of the order of its keys. */
export function specHash(spec: GameSpec): string {
  const ordered = (value: unknown): unknown => {
    if (Array.isArray(value)) return value.map(ordered);
    if (value === null || typeof value !== 'object') return value;
    return Object.fromEntries(
      Object.entries(value)
        .sort(([a], [b]) => (a < b ? -1 : 1))
        .map(([key, inner]) => [key, ordered(inner)]),
    );
  };
  return createHash('sha256')
    .update(JSON.stringify(ordered(spec)))
    .digest('hex');
}

/**
 * The newest version of each game, the newest first, and how many sessions were played of it.
 * @param archived those that were put away, instead of those in use
 */
export async function listGames(db: Db, actor: Actor, archived = false): Promise<(GameRow & { sessions: number })[]> {
  const newest = db
    .selectDistinctOn([gameVersion.gameId])
    .from(gameVersion)
    .where(eq(gameVersion.academyId, actor.academyId))
    .orderBy(gameVersion.gameId, desc(gameVersion.version))
    .as('newest');
  const played = db
    .select({ gameId: session.gameId, sessions: count().as('sessions') })
    .from(session)
    .where(eq(session.academyId, actor.academyId))
    .groupBy(session.gameId)
    .as('played');
  return db
    .select({
      gameId: game.gameId,
      version: newest.version,
      spec: newest.spec,
      hash: newest.hash,
      createdAt: newest.createdAt,
      archivedAt: game.archivedAt,
      sessions: sql<number>`coalesce(${played.sessions}, 0)::int`,
    })
    .from(game)
    .innerJoin(newest, eq(newest.gameId, game.gameId))
    .leftJoin(played, eq(played.gameId, game.gameId))
    .where(and(eq(game.academyId, actor.academyId), archived ? isNotNull(game.archivedAt) : isNull(game.archivedAt)))
    .orderBy(desc(game.createdAt), game.gameId);
}

/** A game in its newest version; null if the academy has none of this id. */
export async function getGame(db: Db, actor: Actor, gameId: string): Promise<GameRow | null> {
  const [row] = await db
    .select({ version: gameVersion, archivedAt: game.archivedAt })
    .from(gameVersion)
    .innerJoin(game, and(eq(game.academyId, gameVersion.academyId), eq(game.gameId, gameVersion.gameId)))
    .where(and(eq(gameVersion.academyId, actor.academyId), eq(gameVersion.gameId, gameId)))
    .orderBy(desc(gameVersion.version))
    .limit(1);
  return row ? { ...row.version, archivedAt: row.archivedAt } : null;
}

/**
 * Saves a game. A version that has results stays as it is and a new one is made; one without results is replaced.
 * Saving what is there already changes nothing, so that sending a form twice does no harm.
 * @returns the version that now holds the spec
 */
export async function saveGame(db: Db, actor: Actor, gameId: string, spec: GameSpec): Promise<number> {
  const { academyId } = actor;
  const hash = specHash(spec);
  return db.transaction(async (tx) => {
    await tx.insert(game).values({ academyId, gameId }).onConflictDoNothing();
    await tx
      .select()
      .from(game)
      .where(and(eq(game.academyId, academyId), eq(game.gameId, gameId)))
      .for('update');
    const latest = await getGame(tx, actor, gameId);
    if (latest && specHash(latest.spec) === hash) return latest.version;
    const results = latest
      ? await tx.$count(session, and(eq(session.academyId, academyId), eq(session.gameId, gameId), eq(session.gameVersion, latest.version)))
      : 0;
    const version = latest ? latest.version + (results > 0 ? 1 : 0) : 1;
    await tx
      .insert(gameVersion)
      .values({ academyId, gameId, version, spec, hash })
      .onConflictDoUpdate({
        target: [gameVersion.academyId, gameVersion.gameId, gameVersion.version],
        set: { spec, hash, createdAt: new Date() },
      });
    return version;
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
  const hash = specHash(spec);
  return (await listGames(db, actor)).find((row) => specHash(row.spec) === hash)?.gameId ?? null;
}
