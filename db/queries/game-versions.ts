import type { GameSpec } from '@/core/game/spec';
import { and, desc, eq } from 'drizzle-orm';
import type { Actor } from '../actor';
import type { Db } from '../client';
import { game, gameVersion, greenVersion, session } from '../schema';
import { same } from './same';

export type GameRow = {
  gameId: string;
  version: number;
  spec: GameSpec;
  /** The plan on which its stations stand; null for a game on no green. */
  greenId: string | null;
  greenVersion: number | null;
  createdAt: Date;
  archivedAt: Date | null;
};

/** The newest version of each game of the academy, to be joined. */
export function newestVersions(db: Db, actor: Actor) {
  return db
    .selectDistinctOn([gameVersion.gameId])
    .from(gameVersion)
    .where(eq(gameVersion.academyId, actor.academyId))
    .orderBy(gameVersion.gameId, desc(gameVersion.version))
    .as('newest');
}

/** A game in its newest version; null if the academy has none of this id. */
export async function newestGame(db: Db, actor: Actor, gameId: string): Promise<GameRow | null> {
  const [row] = await db
    .select({ version: gameVersion, archivedAt: game.archivedAt })
    .from(gameVersion)
    .innerJoin(game, and(eq(game.academyId, gameVersion.academyId), eq(game.gameId, gameVersion.gameId)))
    .where(and(eq(gameVersion.academyId, actor.academyId), eq(gameVersion.gameId, gameId)))
    .orderBy(desc(gameVersion.version))
    .limit(1);
  return row ? { ...row.version, archivedAt: row.archivedAt } : null;
}

/** A game in one of its versions; null if the academy has none such. */
export async function gameInVersion(db: Db, actor: Actor, gameId: string, version: number): Promise<Omit<GameRow, 'archivedAt'> | null> {
  const [row] = await db
    .select()
    .from(gameVersion)
    .where(and(eq(gameVersion.academyId, actor.academyId), eq(gameVersion.gameId, gameId), eq(gameVersion.version, version)))
    .for('share');
  return row ?? null;
}

/** A game in its newest version, which nobody changes before this transaction is through; null if the academy has none of this id. */
export async function holdGame(db: Db, actor: Actor, gameId: string): Promise<GameRow | null> {
  await db
    .select({ id: game.gameId })
    .from(game)
    .where(and(eq(game.academyId, actor.academyId), eq(game.gameId, gameId)))
    .for('share');
  return newestGame(db, actor, gameId);
}

/** The newest version of a green, on which a game is put; null if the academy has none of this id. */
export async function newestGreen(db: Db, actor: Actor, greenId: string): Promise<{ greenId: string; version: number } | null> {
  const [row] = await db
    .select({ greenId: greenVersion.greenId, version: greenVersion.version })
    .from(greenVersion)
    .where(and(eq(greenVersion.academyId, actor.academyId), eq(greenVersion.greenId, greenId)))
    .orderBy(desc(greenVersion.version))
    .limit(1);
  return row ?? null;
}

/** Writes a game as its newest version, or as the next one where that has results. To be called with the game locked. */
export async function writeVersion(
  db: Db,
  actor: Actor,
  gameId: string,
  spec: GameSpec,
  link: Pick<GameRow, 'greenId' | 'greenVersion'>,
): Promise<number> {
  const { academyId } = actor;
  const latest = await newestGame(db, actor, gameId);
  const unchanged = latest !== null && same(latest.spec, spec);
  if (unchanged && latest.greenId === link.greenId && latest.greenVersion === link.greenVersion) return latest.version;
  const results =
    latest && !unchanged
      ? await db.$count(session, and(eq(session.academyId, academyId), eq(session.gameId, gameId), eq(session.gameVersion, latest.version)))
      : 0;
  const version = latest ? latest.version + (results > 0 ? 1 : 0) : 1;
  await db
    .insert(gameVersion)
    .values({ academyId, gameId, version, spec, ...link })
    .onConflictDoUpdate({
      target: [gameVersion.academyId, gameVersion.gameId, gameVersion.version],
      set: { spec, ...link, ...(unchanged ? {} : { createdAt: new Date() }) },
    });
  return version;
}
