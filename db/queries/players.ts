import { formOf, type PlayerForm } from '@/core/people/player';
import { and, asc, count, desc, eq, isNotNull, isNull, sql } from 'drizzle-orm';
import type { Actor } from '../actor';
import type { Db } from '../client';
import { academy, brief, club, player, shot } from '../schema';
import { mayBeNamed } from './may-be-named';
import { rowsInOne } from './rows-in-one';
import { same } from './same';
import { seen } from './seen';

export type PlayerRow = typeof player.$inferSelect;
export type ClubRow = typeof club.$inferSelect;

const mine = (actor: Actor, playerId: string) => and(eq(player.academyId, actor.academyId), eq(player.playerId, playerId));

/** What lists say of a player, and what follows from it. Of 400 rows every column that is read takes its time. */
const LISTED = {
  playerId: player.playerId,
  name: player.name,
  level: player.level,
  handed: player.handed,
  units: player.units,
  paceM: player.paceM,
  clubM: player.clubM,
  putterM: player.putterM,
  roundMix: player.roundMix,
  dreads: player.dreads,
  reportWords: player.reportWords,
  evidenceRev: player.evidenceRev,
  archivedAt: player.archivedAt,
};
export type ListedPlayer = Pick<PlayerRow, keyof typeof LISTED>;

const here = (actor: Actor, archived: boolean) =>
  and(
    eq(player.academyId, actor.academyId),
    isNull(player.erasedAt),
    seen(actor, player.playerId),
    archived ? isNotNull(player.archivedAt) : isNull(player.archivedAt),
  );

/**
 * The players of the academy by name, each with the number of balls recorded and the day of the last one: no ball is counted for it.
 * @param archived those who were put away, instead of those who are here
 */
export async function listPlayers(db: Db, actor: Actor, archived = false) {
  const rows = await rowsInOne(
    db,
    player,
    { ...LISTED, balls: player.balls, lastAt: player.lastAt },
    here(actor, archived),
    asc(player.name),
  );
  return rows.map(({ balls, lastAt, ...listed }) => ({ player: listed satisfies ListedPlayer, balls, lastAt }));
}

/** Who can be chosen in the academy, by name: of hundreds no more is read than that. */
export async function listPlayerNames(db: Db, actor: Actor): Promise<{ id: string; name: string }[]> {
  return db.select({ id: player.playerId, name: player.name }).from(player).where(here(actor, false)).orderBy(asc(player.name));
}

/**
 * A word that stays the same as long as nothing changes that the squad's figures follow from: who is here, under what name, at what level, with which
 * balls, and what is kept of them.
 */
export async function squadState(db: Db, actor: Actor): Promise<string> {
  const { playerId, name, level, roundMix, evidenceRev, balls } = player;
  const one = sql`row(${playerId}, ${name}, ${level}, ${roundMix}, ${evidenceRev}, ${balls}, ${brief.madeFrom})::text`;
  const [row] = await db
    .select({ state: sql<string>`coalesce(md5(string_agg(${one}, ' ' order by ${playerId})), '')` })
    .from(player)
    .leftJoin(brief, and(eq(brief.academyId, player.academyId), eq(brief.playerId, playerId)))
    .where(here(actor, false));
  return row!.state;
}

/** One player with the clubs, in the order of the bag; null if the academy has none of this id, or they were erased. */
export async function getPlayer(db: Db, actor: Actor, playerId: string): Promise<{ player: PlayerRow; clubs: ClubRow[] } | null> {
  const [row] = await db
    .select()
    .from(player)
    .where(and(mine(actor, playerId), isNull(player.erasedAt)));
  if (!row) return null;
  const clubs = await db
    .select()
    .from(club)
    .where(and(eq(club.academyId, actor.academyId), eq(club.playerId, playerId)))
    .orderBy(asc(club.position));
  return { player: row, clubs };
}

/**
 * Adds a player, or changes the one of this id; saving the same form twice is the same as once.
 * @param basedOn when what was changed had been saved (null: it was not saved yet); without it nothing is checked
 * @returns what is in the way, and nothing is saved then: the player was changed elsewhere meanwhile, or is under age and the name is too much
 */
export async function savePlayer(
  db: Db,
  actor: Actor,
  playerId: string,
  form: PlayerForm,
  basedOn?: Date | null,
): Promise<'saved' | 'changed elsewhere' | 'one word'> {
  const { clubs, ...fields } = form;
  return db.transaction(async (tx) => {
    await tx.select({ id: player.playerId }).from(player).where(mine(actor, playerId)).for('no key update');
    const held = await getPlayer(tx, actor, playerId);
    if (held && same(formOf(held), form)) return 'saved';
    if (basedOn !== undefined && held?.player.savedAt.getTime() !== basedOn?.getTime()) return 'changed elsewhere';
    if (!(await mayBeNamed(tx, actor, playerId, fields.name))) return 'one word';
    await tx
      .insert(player)
      .values({ academyId: actor.academyId, playerId, ...fields })
      .onConflictDoUpdate({ target: [player.academyId, player.playerId], set: { ...fields, savedAt: new Date() } });
    await tx.delete(club).where(and(eq(club.academyId, actor.academyId), eq(club.playerId, playerId)));
    if (clubs.length > 0)
      await tx.insert(club).values(clubs.map((c, position) => ({ academyId: actor.academyId, playerId, position, ...c })));
    return 'saved';
  });
}

/** Puts a player away, or brings them back. All records stay; personal links hold again when they are back. */
export async function archivePlayer(db: Db, actor: Actor, playerId: string, archived: boolean): Promise<void> {
  await db
    .update(player)
    .set({ archivedAt: archived ? sql`coalesce(${player.archivedAt}, now())` : null })
    .where(and(mine(actor, playerId), isNull(player.erasedAt)));
}

/** Keeps how often each kind of shot comes up in a player's rounds; null: as often as at the level. */
export async function saveRoundMix(db: Db, actor: Actor, playerId: string, roundMix: Record<string, number> | null): Promise<void> {
  await db.update(player).set({ roundMix }).where(mine(actor, playerId));
}

/** Keeps a player's own names for swing lengths, from low to high. */
export async function saveSwingMarks(db: Db, actor: Actor, playerId: string, swingMarks: string[]): Promise<void> {
  await db.update(player).set({ swingMarks }).where(mine(actor, playerId));
}

/** Keeps which shots a player dreads, by their own rating. */
export async function saveDreads(db: Db, actor: Actor, playerId: string, dreads: Record<string, number>): Promise<void> {
  await db.update(player).set({ dreads }).where(mine(actor, playerId));
}

/** Keeps how long a pace is, in metres: of a player, or (without one) of the coach, for the whole academy. */
export async function savePace(db: Db, actor: Actor, playerId: string | null, paceM: number | null): Promise<void> {
  if (playerId === null) await db.update(academy).set({ paceM }).where(eq(academy.academyId, actor.academyId));
  else await db.update(player).set({ paceM }).where(mine(actor, playerId));
}

/** A player's clubs in the order of the bag, the one with most balls on record, and their names for swing lengths. */
export async function bagOf(
  db: Db,
  actor: Actor,
  playerId: string,
): Promise<{ clubs: { clubId: string; label: string }[]; favourite: string | null; marks: string[] }> {
  const clubs = await db
    .select({ clubId: club.clubId, label: club.label })
    .from(club)
    .where(and(eq(club.academyId, actor.academyId), eq(club.playerId, playerId)))
    .orderBy(asc(club.position));
  const [most] = await db
    .select({ label: shot.clubLabel, balls: count() })
    .from(shot)
    .where(and(eq(shot.academyId, actor.academyId), eq(shot.playerId, playerId), isNotNull(shot.clubLabel)))
    .groupBy(shot.clubLabel)
    .orderBy(desc(count()), asc(shot.clubLabel))
    .limit(1);
  const [own] = await db.select({ marks: player.swingMarks }).from(player).where(mine(actor, playerId));
  return { clubs, favourite: most?.label ?? null, marks: own?.marks ?? [] };
}
