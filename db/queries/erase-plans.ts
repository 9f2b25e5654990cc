import { and, eq, exists, inArray, isNull, notExists, sql, type SQL } from 'drizzle-orm';
import type { Actor } from '../actor';
import type { Db } from '../client';
import { game, gameVersion, hour, hourGame, hourPlayer, player, session, weeks, weeksPlayer } from '../schema';

/** Of one player alone, and not of anybody else who is still there. */
function alone(db: Db, seats: typeof hourPlayer | typeof weeksPlayer, of: SQL, playerId: string): SQL {
  const there = db
    .select({ one: sql`1` })
    .from(seats)
    .where(and(of, eq(seats.playerId, playerId)));
  const others = db
    .select({ one: sql`1` })
    .from(seats)
    .innerJoin(player, and(eq(player.academyId, seats.academyId), eq(player.playerId, seats.playerId), isNull(player.erasedAt)))
    .where(and(of, sql`${seats.playerId} <> ${playerId}`));
  return and(exists(there), notExists(others))!;
}

const hoursAlone = (db: Db, { academyId }: Actor, playerId: string) =>
  and(
    eq(hour.academyId, academyId),
    alone(db, hourPlayer, sql`${hourPlayer.academyId} = ${hour.academyId} and ${hourPlayer.hourId} = ${hour.hourId}`, playerId),
  );
const weeksAlone = (db: Db, { academyId }: Actor, playerId: string) =>
  and(
    eq(weeks.academyId, academyId),
    alone(db, weeksPlayer, sql`${weeksPlayer.academyId} = ${weeks.academyId} and ${weeksPlayer.weeksId} = ${weeks.weeksId}`, playerId),
  );

/** How many plans are for a player alone: hours and weeks. */
export async function plansAlone(db: Db, actor: Actor, playerId: string): Promise<number> {
  const counts = await Promise.all([db.$count(hour, hoursAlone(db, actor, playerId)), db.$count(weeks, weeksAlone(db, actor, playerId))]);
  return counts[0] + counts[1];
}

/** What a plan for several is called once one of those whom its title names is gone. */
const [HOUR, WEEKS] = ['An hour', 'Weeks'];

/**
 * Takes a player out of what was planned: hours and weeks for them alone go, with the games that were made for these and were never played by
 * others; what was made for several stays, and names them no more.
 */
export async function erasePlans(db: Db, actor: Actor, playerId: string): Promise<void> {
  const { academyId } = actor;
  await db.transaction(async (tx) => {
    const [row] = await tx
      .select({ name: player.name })
      .from(player)
      .where(and(eq(player.academyId, academyId), eq(player.playerId, playerId)));
    if (!row) return;
    const mine = hoursAlone(tx, actor, playerId);
    const made = await tx
      .selectDistinct({ gameId: hourGame.gameId })
      .from(hourGame)
      .innerJoin(hour, and(eq(hour.academyId, hourGame.academyId), eq(hour.hourId, hourGame.hourId)))
      .where(mine);
    await tx.delete(hour).where(mine);
    await tx.delete(weeks).where(weeksAlone(tx, actor, playerId));
    const uses = (table: typeof hourGame | typeof session) =>
      notExists(
        tx
          .select({ one: sql`1` })
          .from(table)
          .where(and(eq(table.academyId, game.academyId), eq(table.gameId, game.gameId))),
      );
    if (made.length > 0)
      await tx.delete(game).where(
        and(
          eq(game.academyId, academyId),
          eq(game.listed, false),
          inArray(
            game.gameId,
            made.map(({ gameId }) => gameId),
          ),
          uses(hourGame),
          uses(session),
        ),
      );
    const named = (title: SQL) => sql`position(${row.name} in ${title}) > 0`;
    const called = (title: string) => JSON.stringify(title);
    await tx
      .update(hour)
      .set({ hour: sql`jsonb_set(${hour.hour}, '{title}', ${called(HOUR)}::jsonb)` })
      .where(and(eq(hour.academyId, academyId), named(sql`${hour.hour} ->> 'title'`)));
    await tx
      .update(weeks)
      .set({ weeks: sql`jsonb_set(${weeks.weeks}, '{title}', ${called(WEEKS)}::jsonb)` })
      .where(and(eq(weeks.academyId, academyId), named(sql`${weeks.weeks} ->> 'title'`)));
    // A game that was made to order is called after whom it was made for: "Otto: points from 6 places".
    const prefix = `${row.name.slice(0, 40)}: `;
    const begins = (title: SQL) => sql`starts_with(${title}, ${prefix})`;
    const without = (document: SQL) =>
      sql`jsonb_set(${document}, '{title}', to_jsonb(substr(${document} ->> 'title', ${prefix.length + 1}::int)))`;
    await tx
      .update(gameVersion)
      .set({ spec: without(sql`${gameVersion.spec}`) })
      .where(and(eq(gameVersion.academyId, academyId), begins(sql`${gameVersion.spec} ->> 'title'`)));
    await tx
      .update(session)
      .set({ spec: without(sql`${session.spec}`) })
      .where(and(eq(session.academyId, academyId), begins(sql`${session.spec} ->> 'title'`)));
  });
}
