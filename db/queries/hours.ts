import type { Hour } from '@/core/hour/hour';
import { schoolSchema, type School } from '@/core/hour/school';
import type { Run } from '@/core/hour/run-schema';
import { and, asc, desc, eq, inArray, isNotNull, isNull, notInArray, or, sql, type SQL } from 'drizzle-orm';
import { seenBy, type Actor } from '../actor';
import type { Db } from '../client';
import { game, hour, hourGame, hourPlayer, hourRun, player, school } from '../schema';
import { newestGame, newestGreen, newestVersions, writeVersion } from './game-versions';
import { dayInAcademy } from './sessions';
import { same } from './same';
import { seen } from './seen';

/** A planned hour, for whom it is, and how it was done last; null: it was not. */
export type HourRow = {
  hourId: string;
  hour: Hour;
  savedAt: Date;
  players: { playerId: string; name: string }[];
  run: Run | null;
};

/** So many are listed; older ones are found by their players. */
const MOST_LISTED = 200;

/**
 * Planned hours in use (`archived`: those that were put away instead), by their day, those without one first; then the last saved first.
 * Whoever does not see all players sees those for whom they see somebody, and nobody else's name.
 * @param of of one player; `current`: only those that may still be done, of yesterday (somewhere it is still that day) and later, and those of this week from Monday on
 */
export async function listHours(
  db: Db,
  actor: Actor,
  of: { playerId?: string; current?: boolean; archived?: boolean } = {},
): Promise<HourRow[]> {
  const { academyId } = actor;
  const from = of.current ? await dayInAcademy(db, actor) : null;
  const theirs = db
    .select({ hourId: hourPlayer.hourId })
    .from(hourPlayer)
    .where(and(eq(hourPlayer.academyId, academyId), eq(hourPlayer.playerId, of.playerId ?? '')));
  const rows = await db
    .select({ hourId: hour.hourId, hour: hour.hour, savedAt: hour.savedAt })
    .from(hour)
    .where(
      and(
        eq(hour.academyId, academyId),
        of.archived ? isNotNull(hour.archivedAt) : isNull(hour.archivedAt),
        seenHour(db, actor),
        of.playerId === undefined ? undefined : inArray(hour.hourId, theirs),
        from === null
          ? undefined
          : or(isNull(hour.day), sql`${hour.day} >= least(date_trunc('week', ${from}::date)::date, ${from}::date - 1)`),
      ),
    )
    .orderBy(sql`${hour.day} desc nulls first`, desc(hour.savedAt))
    .limit(MOST_LISTED);
  return withPeople(db, actor, rows);
}

/** A planned hour; null if the academy has none of this id. */
export async function getHour(db: Db, actor: Actor, hourId: string): Promise<HourRow | null> {
  return (await hoursOf(db, actor, [hourId]))[0] ?? null;
}

/** The planned hours that have these ids, in no order; those that were put away too. */
export async function hoursOf(db: Db, actor: Actor, hourIds: readonly string[]): Promise<HourRow[]> {
  const rows = await db
    .select({ hourId: hour.hourId, hour: hour.hour, savedAt: hour.savedAt })
    .from(hour)
    .where(and(eq(hour.academyId, actor.academyId), inArray(hour.hourId, [...hourIds]), seenHour(db, actor)));
  return withPeople(db, actor, rows);
}

/**
 * The hours that an actor sees: those for somebody whom they see, and for whoever works here also those that are for nobody; undefined where
 * that is all of them.
 */
function seenHour(db: Db, actor: Actor): SQL | undefined {
  if (seenBy(actor) === null) return undefined;
  const people = db.select({ hourId: hourPlayer.hourId }).from(hourPlayer);
  const { academyId } = actor;
  const theirs = inArray(hour.hourId, people.where(and(eq(hourPlayer.academyId, academyId), seen(actor, hourPlayer.playerId))));
  const forAll = db.select({ hourId: hourPlayer.hourId }).from(hourPlayer).where(eq(hourPlayer.academyId, academyId));
  return actor.kind === 'player' ? theirs : or(theirs, notInArray(hour.hourId, forAll));
}

async function withPeople(db: Db, actor: Actor, rows: readonly Omit<HourRow, 'players' | 'run'>[]): Promise<HourRow[]> {
  const ids = rows.map(({ hourId }) => hourId);
  if (ids.length === 0) return [];
  const { academyId } = actor;
  const [people, runs] = await Promise.all([
    db
      .select({ hourId: hourPlayer.hourId, playerId: player.playerId, name: player.name })
      .from(hourPlayer)
      .innerJoin(player, and(eq(player.academyId, hourPlayer.academyId), eq(player.playerId, hourPlayer.playerId)))
      .where(
        and(eq(hourPlayer.academyId, academyId), inArray(hourPlayer.hourId, ids), isNull(player.erasedAt), seen(actor, player.playerId)),
      )
      .orderBy(asc(hourPlayer.position)),
    db
      .selectDistinctOn([hourRun.hourId], { hourId: hourRun.hourId, run: hourRun.run })
      .from(hourRun)
      .where(and(eq(hourRun.academyId, academyId), inArray(hourRun.hourId, ids)))
      .orderBy(hourRun.hourId, desc(hourRun.startedAt)),
  ]);
  return rows.map((row) => ({
    ...row,
    players: people.filter(({ hourId }) => hourId === row.hourId).map(({ playerId, name }) => ({ playerId, name })),
    run: runs.find(({ hourId }) => hourId === row.hourId)?.run ?? null,
  }));
}

/**
 * Saves a planned hour with its players. A game of a part that the academy does not have is kept with it, and stands in no list; one that it has
 * already is that one.
 * @param basedOn when what was changed had been written; null: it was not saved yet
 * @returns the hour as it was saved; null where it was changed elsewhere meanwhile, and nothing is saved
 */
export async function saveHour(
  db: Db,
  actor: Actor,
  hourId: string,
  planned: Hour,
  playerIds: readonly string[],
  basedOn: Date | null,
): Promise<Hour | null> {
  const { academyId } = actor;
  return db.transaction(async (tx) => {
    const here = and(eq(hour.academyId, academyId), eq(hour.hourId, hourId));
    const [before] = await tx.select().from(hour).where(here).for('update');
    const parts = await withGames(tx, actor, planned);
    const kept: Hour = { ...planned, parts };
    if (before && before.savedAt.getTime() !== basedOn?.getTime() && !same(before.hour, kept)) return null;
    const values = { day: kept.day, hour: kept, savedAt: new Date() };
    await tx
      .insert(hour)
      .values({ academyId, hourId, ...values })
      .onConflictDoUpdate({ target: [hour.academyId, hour.hourId], set: values });
    await tx.delete(hourPlayer).where(and(eq(hourPlayer.academyId, academyId), eq(hourPlayer.hourId, hourId)));
    const there = await tx
      .select({ playerId: player.playerId })
      .from(player)
      .where(and(eq(player.academyId, academyId), inArray(player.playerId, [...playerIds]), isNull(player.erasedAt)));
    const people = playerIds.filter((id) => there.some(({ playerId }) => playerId === id));
    if (people.length > 0)
      await tx.insert(hourPlayer).values(people.map((playerId, position) => ({ academyId, hourId, playerId, position })));
    await tx.delete(hourGame).where(and(eq(hourGame.academyId, academyId), eq(hourGame.hourId, hourId)));
    const games = [...new Set(parts.flatMap((part) => part.game?.gameId ?? []))];
    if (games.length > 0) await tx.insert(hourGame).values(games.map((gameId) => ({ academyId, hourId, gameId })));
    return kept;
  });
}

/** The parts with games that the academy has. */
async function withGames(tx: Db, actor: Actor, { parts, greenId }: Hour): Promise<Hour['parts']> {
  const { academyId } = actor;
  const newest = newestVersions(tx, actor);
  const own = parts.some(({ game: played }) => played !== null)
    ? await tx
        .select({ gameId: game.gameId, spec: newest.spec, archivedAt: game.archivedAt })
        .from(game)
        .innerJoin(newest, eq(newest.gameId, game.gameId))
        .where(eq(game.academyId, academyId))
    : [];
  const kept: Hour['parts'] = [];
  for (const part of parts) {
    if (!part.game) {
      kept.push(part);
      continue;
    }
    const { gameId, spec } = part.game;
    const there =
      own.find((one) => one.gameId === gameId && same(one.spec, spec)) ??
      own.find((one) => one.archivedAt === null && same(one.spec, spec));
    if (there) kept.push({ ...part, game: { gameId: there.gameId, spec: there.spec } });
    else {
      // An id that the academy has for another game stays that game's.
      const id = (await newestGame(tx, actor, gameId)) ? crypto.randomUUID() : gameId;
      await tx.insert(game).values({ academyId, gameId: id, listed: false });
      const placed = spec.stations.some((station) => station.place !== null);
      const green = placed && greenId ? await newestGreen(tx, actor, greenId) : null;
      await writeVersion(tx, actor, id, spec, { greenId: green?.greenId ?? null, greenVersion: green?.version ?? null });
      own.push({ gameId: id, spec, archivedAt: null });
      kept.push({ ...part, game: { gameId: id, spec } });
    }
  }
  return kept;
}

/** Puts a planned hour away, or brings it back; how it was done stays. */
export async function archiveHour(db: Db, actor: Actor, hourId: string, archived: boolean): Promise<void> {
  await db
    .update(hour)
    .set({ archivedAt: archived ? sql`coalesce(${hour.archivedAt}, now())` : null })
    .where(and(eq(hour.academyId, actor.academyId), eq(hour.hourId, hourId)));
}

/**
 * Keeps how an hour is done, as a device tells it: of one run the newest telling. Of hours that the actor sees.
 * @returns false where there is no such hour
 */
export async function takeRun(db: Db, actor: Actor, run: Run): Promise<boolean> {
  const { academyId } = actor;
  const { hourId, runId, change } = run;
  const found = await db
    .select({ hourId: hour.hourId })
    .from(hour)
    .where(and(eq(hour.academyId, academyId), eq(hour.hourId, hourId), seenHour(db, actor)));
  if (found.length === 0) return false;
  await db
    .insert(hourRun)
    .values({ academyId, runId, hourId, run, change, startedAt: new Date(run.startedAt) })
    .onConflictDoUpdate({
      target: [hourRun.academyId, hourRun.runId],
      set: { run, change },
      setWhere: sql`${hourRun.change} < ${change} and ${hourRun.hourId} = ${hourId}`,
    });
  return true;
}

/** Whether a player may start a game by their link, because a planned hour of theirs has it. */
export async function isPlannedFor(db: Db, actor: Actor, playerId: string, gameId: string): Promise<boolean> {
  const [found] = await db
    .select({ gameId: hourGame.gameId })
    .from(hourGame)
    .innerJoin(hourPlayer, and(eq(hourPlayer.academyId, hourGame.academyId), eq(hourPlayer.hourId, hourGame.hourId)))
    .where(and(eq(hourGame.academyId, actor.academyId), eq(hourGame.gameId, gameId), eq(hourPlayer.playerId, playerId)))
    .limit(1);
  return found !== undefined;
}

/** The coach's own ways of dividing an hour, the oldest first. */
export async function listSchools(db: Db, actor: Actor): Promise<{ schoolId: string; school: School }[]> {
  const rows = await db.select().from(school).where(eq(school.academyId, actor.academyId)).orderBy(asc(school.createdAt));
  return rows.map(({ schoolId, school: kept }) => ({ schoolId, school: asSchool(kept) }));
}

/** Without what only the store needs. */
function asSchool(kept: School & { version?: number }): School {
  const { version: _, ...own } = kept;
  return schoolSchema.parse(own);
}

/** Keeps one under an id; null takes it away. Hours that were planned by it stay as they are. */
export async function saveSchool(db: Db, actor: Actor, schoolId: string, kept: School | null): Promise<void> {
  const { academyId } = actor;
  if (kept === null) await db.delete(school).where(and(eq(school.academyId, academyId), eq(school.schoolId, schoolId)));
  else
    await db
      .insert(school)
      .values({ academyId, schoolId, school: kept })
      .onConflictDoUpdate({ target: [school.academyId, school.schoolId], set: { school: kept } });
}
