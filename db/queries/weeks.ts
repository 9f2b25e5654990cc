import type { Weeks } from '@/core/weeks/weeks';
import { and, asc, desc, eq, inArray, isNotNull, isNull, notExists, sql, type SQL } from 'drizzle-orm';
import { seenBy, type Actor } from '../actor';
import type { Db } from '../client';
import { hour, hourPlayer, hourRun, player, weeks, weeksPlayer } from '../schema';
import { same } from './same';
import { seen } from './seen';

/** Planned weeks, and for whom they are. */
export type WeeksRow = { weeksId: string; weeks: Weeks; savedAt: Date; archived: boolean; players: { playerId: string; name: string }[] };

/** So many are listed. */
const MOST_LISTED = 100;

/** Planned weeks in use (`archived`: those that were put away instead), the last saved first; of those for whom the actor sees somebody. */
export async function listWeeks(db: Db, actor: Actor, of: { archived?: boolean } = {}): Promise<WeeksRow[]> {
  return rowsOf(db, actor, of.archived ? isNotNull(weeks.archivedAt) : isNull(weeks.archivedAt));
}

/** Planned weeks; null if the academy has none of this id. */
export async function getWeeks(db: Db, actor: Actor, weeksId: string): Promise<WeeksRow | null> {
  return (await rowsOf(db, actor, eq(weeks.weeksId, weeksId)))[0] ?? null;
}

/** The planned weeks to which an hour belongs; null where it stands alone. */
export async function weeksOfHour(db: Db, actor: Actor, hourId: string): Promise<WeeksRow | null> {
  const has = sql`${weeks.weeks} @> ${JSON.stringify({ days: [{ hourId }] })}::jsonb`;
  return (await rowsOf(db, actor, has))[0] ?? null;
}

async function rowsOf(db: Db, actor: Actor, which: SQL): Promise<WeeksRow[]> {
  const { academyId } = actor;
  const own =
    seenBy(actor) === null
      ? undefined
      : inArray(
          weeks.weeksId,
          db
            .select({ weeksId: weeksPlayer.weeksId })
            .from(weeksPlayer)
            .where(and(eq(weeksPlayer.academyId, academyId), seen(actor, weeksPlayer.playerId))),
        );
  const rows = await db
    .select({ weeksId: weeks.weeksId, weeks: weeks.weeks, savedAt: weeks.savedAt, archivedAt: weeks.archivedAt })
    .from(weeks)
    .where(and(eq(weeks.academyId, academyId), which, own))
    .orderBy(desc(weeks.savedAt), asc(weeks.weeksId))
    .limit(MOST_LISTED);
  if (rows.length === 0) return [];
  const people = await db
    .select({ weeksId: weeksPlayer.weeksId, playerId: player.playerId, name: player.name })
    .from(weeksPlayer)
    .innerJoin(player, and(eq(player.academyId, weeksPlayer.academyId), eq(player.playerId, weeksPlayer.playerId)))
    .where(
      and(
        eq(weeksPlayer.academyId, academyId),
        inArray(
          weeksPlayer.weeksId,
          rows.map(({ weeksId }) => weeksId),
        ),
        isNull(player.erasedAt),
        seen(actor, player.playerId),
      ),
    )
    .orderBy(asc(weeksPlayer.position));
  return rows.map(({ archivedAt, ...row }) => ({
    ...row,
    archived: archivedAt !== null,
    players: people.filter(({ weeksId }) => weeksId === row.weeksId).map(({ playerId, name }) => ({ playerId, name })),
  }));
}

/**
 * Saves planned weeks with their players. Hours of theirs that nobody has begun follow: to their day and their players; those of days that were
 * taken out are put away.
 * @param basedOn when what was changed had been saved; null: it was not saved yet
 * @returns false where they were changed elsewhere meanwhile, and nothing is saved
 */
export async function saveWeeks(
  db: Db,
  actor: Actor,
  weeksId: string,
  planned: Weeks,
  playerIds: readonly string[],
  basedOn: Date | null,
): Promise<boolean> {
  const { academyId } = actor;
  return db.transaction(async (tx) => {
    const [before] = await tx
      .select()
      .from(weeks)
      .where(and(eq(weeks.academyId, academyId), eq(weeks.weeksId, weeksId)))
      .for('update');
    if (before && before.savedAt.getTime() !== basedOn?.getTime() && !same(before.weeks, planned)) return false;
    const values = { weeks: planned, savedAt: new Date() };
    await tx
      .insert(weeks)
      .values({ academyId, weeksId, ...values })
      .onConflictDoUpdate({ target: [weeks.academyId, weeks.weeksId], set: values });
    const there = await tx
      .select({ playerId: player.playerId })
      .from(player)
      .where(and(eq(player.academyId, academyId), inArray(player.playerId, [...playerIds]), isNull(player.erasedAt)));
    const people = playerIds.filter((id) => there.some(({ playerId }) => playerId === id));
    await tx.delete(weeksPlayer).where(and(eq(weeksPlayer.academyId, academyId), eq(weeksPlayer.weeksId, weeksId)));
    if (people.length > 0)
      await tx.insert(weeksPlayer).values(people.map((playerId, position) => ({ academyId, weeksId, playerId, position })));
    await hoursFollow(tx, actor, before?.weeks.days ?? [], before?.archivedAt ? [] : planned.days, people);
    return true;
  });
}

async function hoursFollow(tx: Db, actor: Actor, before: Weeks['days'], days: Weeks['days'], playerIds: readonly string[]) {
  const { academyId } = actor;
  const ids = [...new Set([...before, ...days].map(({ hourId }) => hourId))];
  const notBegun = notExists(
    tx
      .select({ one: sql`1` })
      .from(hourRun)
      .where(and(eq(hourRun.academyId, hour.academyId), eq(hourRun.hourId, hour.hourId))),
  );
  const found = await tx
    .select({ hourId: hour.hourId, hour: hour.hour, archivedAt: hour.archivedAt })
    .from(hour)
    .where(and(eq(hour.academyId, academyId), inArray(hour.hourId, ids), notBegun));
  for (const one of found) {
    const here = and(eq(hour.academyId, academyId), eq(hour.hourId, one.hourId));
    const planned = days.find(({ hourId }) => hourId === one.hourId);
    if (!planned) {
      await tx.update(hour).set({ archivedAt: new Date() }).where(here);
      continue;
    }
    const { day } = planned;
    // A day that was taken out and put back brings its hour back.
    if (one.hour.day !== day || one.archivedAt !== null)
      await tx
        .update(hour)
        .set({ day, hour: { ...one.hour, day }, savedAt: new Date(), archivedAt: null })
        .where(here);
    await tx.delete(hourPlayer).where(and(eq(hourPlayer.academyId, academyId), eq(hourPlayer.hourId, one.hourId)));
    if (playerIds.length > 0)
      await tx.insert(hourPlayer).values(playerIds.map((playerId, position) => ({ academyId, hourId: one.hourId, playerId, position })));
  }
}

/** Has the hours of planned weeks follow their days and players once more: those that were made while a day was moved. */
export async function followWeeks(db: Db, actor: Actor, weeksId: string): Promise<void> {
  const { academyId } = actor;
  await db.transaction(async (tx) => {
    const [row] = await tx
      .select({ weeks: weeks.weeks, archivedAt: weeks.archivedAt })
      .from(weeks)
      .where(and(eq(weeks.academyId, academyId), eq(weeks.weeksId, weeksId)))
      .for('update');
    if (row) await follow(tx, actor, weeksId, row);
  });
}

/** Puts planned weeks away with the hours of theirs that nobody has begun, or brings them back. */
export async function archiveWeeks(db: Db, actor: Actor, weeksId: string, archived: boolean): Promise<void> {
  await db.transaction(async (tx) => {
    const [row] = await tx
      .update(weeks)
      .set({ archivedAt: archived ? sql`coalesce(${weeks.archivedAt}, now())` : null })
      .where(and(eq(weeks.academyId, actor.academyId), eq(weeks.weeksId, weeksId)))
      .returning({ weeks: weeks.weeks, archivedAt: weeks.archivedAt });
    if (row) await follow(tx, actor, weeksId, row);
  });
}

async function follow(tx: Db, actor: Actor, weeksId: string, row: { weeks: Weeks; archivedAt: Date | null }): Promise<void> {
  const players = await tx
    .select({ playerId: weeksPlayer.playerId })
    .from(weeksPlayer)
    .where(and(eq(weeksPlayer.academyId, actor.academyId), eq(weeksPlayer.weeksId, weeksId)))
    .orderBy(asc(weeksPlayer.position));
  const { days } = row.weeks;
  await hoursFollow(
    tx,
    actor,
    days,
    row.archivedAt === null ? days : [],
    players.map(({ playerId }) => playerId),
  );
}
