import { followGreen } from '@/core/green/game';
import type { GreenPlan } from '@/core/green/plan';
import { and, asc, desc, eq, isNotNull, isNull, sql } from 'drizzle-orm';
import type { Actor } from '../actor';
import type { Db } from '../client';
import { game, green, greenVersion, session } from '../schema';
import { newestGame, newestVersions, writeVersion } from './game-versions';
import { same } from './same';

export type GreenRow = { greenId: string; version: number; plan: GreenPlan; createdAt: Date; archivedAt: Date | null };

/** The newest version of each green, by its name. @param archived those that were put away, instead of those in use */
export async function listGreens(db: Db, actor: Actor, archived = false): Promise<GreenRow[]> {
  const newest = db
    .selectDistinctOn([greenVersion.greenId])
    .from(greenVersion)
    .where(eq(greenVersion.academyId, actor.academyId))
    .orderBy(greenVersion.greenId, desc(greenVersion.version))
    .as('newest');
  return db
    .select({
      greenId: green.greenId,
      version: newest.version,
      plan: newest.plan,
      createdAt: newest.createdAt,
      archivedAt: green.archivedAt,
    })
    .from(green)
    .innerJoin(newest, eq(newest.greenId, green.greenId))
    .where(and(eq(green.academyId, actor.academyId), archived ? isNotNull(green.archivedAt) : isNull(green.archivedAt)))
    .orderBy(asc(sql`lower(${newest.plan} ->> 'title')`), asc(green.greenId));
}

/** A green in its newest version, or in a given one; null if the academy has none of this id. */
export async function getGreen(db: Db, actor: Actor, greenId: string, version?: number): Promise<GreenRow | null> {
  const [row] = await db
    .select({ version: greenVersion, archivedAt: green.archivedAt })
    .from(greenVersion)
    .innerJoin(green, and(eq(green.academyId, greenVersion.academyId), eq(green.greenId, greenVersion.greenId)))
    .where(
      and(
        eq(greenVersion.academyId, actor.academyId),
        eq(greenVersion.greenId, greenId),
        version === undefined ? undefined : eq(greenVersion.version, version),
      ),
    )
    .orderBy(desc(greenVersion.version))
    .limit(1);
  return row ? { ...row.version, archivedAt: row.archivedAt } : null;
}

/** The games in use whose stations stand on a green, by their newest version. */
export async function gamesOnGreen(db: Db, actor: Actor, greenId: string): Promise<{ gameId: string; title: string; version: number }[]> {
  const newest = newestVersions(db, actor);
  return db
    .select({ gameId: game.gameId, title: sql<string>`${newest.spec} ->> 'title'`, version: newest.version })
    .from(game)
    .innerJoin(newest, eq(newest.gameId, game.gameId))
    .where(and(eq(game.academyId, actor.academyId), isNull(game.archivedAt), eq(newest.greenId, greenId)))
    .orderBy(desc(game.createdAt), game.gameId);
}

/** What saving a green did to the games on it. */
export type SavedGreen = {
  version: number;
  /** When what is saved now was written: the next change is based on it. */
  savedAt: Date;
  /** Games whose stations moved along, and the version that they have now. */
  followed: { title: string; version: number; isNew: boolean }[];
  /** Games that could not, and why: they keep their stations as they were. */
  kept: { title: string; reason: string }[];
};

/**
 * Saves a green, and takes the games on it along. A version on which was played stays as it is and a new one is made;
 * another is replaced. Saving what is there already changes nothing.
 * @param basedOn when what was changed had been written (null: it was not saved yet); without it nothing is checked
 * @returns null where the green was changed elsewhere meanwhile: nothing is saved then
 */
export async function saveGreen(db: Db, actor: Actor, greenId: string, plan: GreenPlan, basedOn?: Date | null): Promise<SavedGreen | null> {
  const { academyId } = actor;
  return db.transaction(async (tx) => {
    await tx
      .select()
      .from(green)
      .where(and(eq(green.academyId, academyId), eq(green.greenId, greenId)))
      .for('update');
    const latest = await getGreen(tx, actor, greenId);
    if (latest && same(latest.plan, plan)) return { version: latest.version, savedAt: latest.createdAt, followed: [], kept: [] };
    if (basedOn !== undefined && latest?.createdAt.getTime() !== basedOn?.getTime()) return null;
    await tx.insert(green).values({ academyId, greenId }).onConflictDoNothing();
    const played = latest
      ? await tx.$count(
          session,
          and(eq(session.academyId, academyId), eq(session.greenId, greenId), eq(session.greenVersion, latest.version)),
        )
      : 0;
    const version = latest ? latest.version + (played > 0 ? 1 : 0) : 1;
    const savedAt = new Date();
    await tx
      .insert(greenVersion)
      .values({ academyId, greenId, version, plan, createdAt: savedAt })
      .onConflictDoUpdate({
        target: [greenVersion.academyId, greenVersion.greenId, greenVersion.version],
        set: { plan, createdAt: savedAt },
      });
    const result: SavedGreen = { version, savedAt, followed: [], kept: [] };
    for (const { gameId } of latest ? await gamesOnGreen(tx, actor, greenId) : []) {
      await tx
        .select()
        .from(game)
        .where(and(eq(game.academyId, academyId), eq(game.gameId, gameId)))
        .for('update');
      const row = (await newestGame(tx, actor, gameId))!;
      const follows = followGreen(row.spec, latest!.plan, plan);
      if ('refused' in follows) result.kept.push({ title: row.spec.title, reason: follows.refused });
      else {
        const placed = follows.spec.stations.some((station) => station.place !== null);
        const link = placed ? { greenId, greenVersion: version } : { greenId: null, greenVersion: null };
        const now = await writeVersion(tx, actor, gameId, follows.spec, link);
        if (follows.changed) result.followed.push({ title: row.spec.title, version: now, isNew: now > row.version });
      }
    }
    return result;
  });
}

/** Puts a green away, or brings it back; games on it stay. */
export async function archiveGreen(db: Db, actor: Actor, greenId: string, archived: boolean): Promise<void> {
  await db
    .update(green)
    .set({ archivedAt: archived ? sql`coalesce(${green.archivedAt}, now())` : null })
    .where(and(eq(green.academyId, actor.academyId), eq(green.greenId, greenId)));
}
