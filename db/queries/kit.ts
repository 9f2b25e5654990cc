import { schemeOf } from '@/core/game/scoring';
import { dayOnGreen } from '@/core/green/day';
import { swingChart } from '@/core/tools/swing-chart';
import { and, asc, eq, getTableColumns, inArray, isNull, or, sql, type SQL } from 'drizzle-orm';
import type { PgColumn } from 'drizzle-orm/pg-core';
import { group } from 'd3-array';
import { seenBy, type Actor } from '../actor';
import type { Db } from '../client';
import { academy, club, game, greenVersion, hour, hourGame, hourPlayer, player, posterior, session, sessionPlayer, shot } from '../schema';
import { newestVersions } from './game-versions';
import { bestsOf } from './bests';
import { swungShots } from './carried';
import { conditionsToday, dayInAcademy } from './sessions';

/** Whose kit, and for which games; all players, and all games, where nothing is said. */
export type KitFor = {
  playerIds?: readonly string[];
  /** One game, or those that these players have played and that one plays alone, with those of their planned hours. */
  games?: { gameId: string } | 'played alone';
};

/**
 * All that it takes to start games: those that are in use, in their present version, who plays, with which clubs, and the best so far.
 */
export async function kitOf(db: Db, actor: Actor, { playerIds: asked, games: which }: KitFor = {}) {
  const { academyId } = actor;
  const here = seenBy(actor);
  const playerIds = here === null ? asked : (asked ?? here).filter((id) => here.includes(id));
  const theirs = (column: PgColumn) => (playerIds === undefined ? undefined : inArray(column, [...playerIds]));
  const [coach] = await db.select().from(academy).where(eq(academy.academyId, academyId));
  const players = await db
    .select({ ...getTableColumns(player), strays: posterior.strays })
    .from(player)
    .leftJoin(posterior, and(eq(posterior.academyId, player.academyId), eq(posterior.playerId, player.playerId)))
    .where(and(eq(player.academyId, academyId), isNull(player.archivedAt), isNull(player.erasedAt), theirs(player.playerId)))
    .orderBy(asc(player.name));
  const newest = newestVersions(db, actor);
  const played = db
    .select({ gameId: session.gameId })
    .from(session)
    .innerJoin(sessionPlayer, and(eq(sessionPlayer.academyId, session.academyId), eq(sessionPlayer.sessionId, session.sessionId)))
    .where(and(eq(session.academyId, academyId), theirs(sessionPlayer.playerId)));
  const planned = db
    .select({ gameId: hourGame.gameId })
    .from(hourGame)
    .innerJoin(hour, and(eq(hour.academyId, hourGame.academyId), eq(hour.hourId, hourGame.hourId), isNull(hour.archivedAt)))
    .leftJoin(hourPlayer, and(eq(hourPlayer.academyId, hourGame.academyId), eq(hourPlayer.hourId, hourGame.hourId)))
    .where(and(eq(hourGame.academyId, academyId), theirs(hourPlayer.playerId)));
  const chosen =
    which === undefined
      ? or(game.listed, inArray(game.gameId, planned))
      : which === 'played alone'
        ? or(inArray(game.gameId, played), inArray(game.gameId, planned))
        : eq(game.gameId, which.gameId);
  const games = await db
    .select({ gameId: game.gameId, version: newest.version, listed: game.listed, spec: newest.spec, plan: greenVersion.plan })
    .from(game)
    .innerJoin(newest, eq(newest.gameId, game.gameId))
    .leftJoin(
      greenVersion,
      and(
        eq(greenVersion.academyId, game.academyId),
        eq(greenVersion.greenId, newest.greenId),
        eq(greenVersion.version, newest.greenVersion),
      ),
    )
    .where(and(eq(game.academyId, academyId), isNull(game.archivedAt), chosen))
    .orderBy(game.createdAt, game.gameId);
  const clubs = group(await clubsOf(db, academyId, theirs(club.playerId)), (one) => one.playerId);
  // Only whoever has named marks has a chart.
  const marked = players.filter(({ swingMarks }) => swingMarks.length > 0).map(({ playerId }) => playerId);
  const swung = group(await swungShots(db, actor, marked), (one) => one.playerId);
  const favourites = await favouritesOf(db, academyId, theirs(shot.playerId));
  const higher = new Map(games.map(({ gameId, spec }) => [gameId, schemeOf(spec.scoring).better(spec.scoring) === 'higher']));
  return {
    coach: coach!,
    today: { day: await dayInAcademy(db, actor), conditions: await conditionsToday(db, actor) },
    games: games
      .filter(({ spec }) => which !== 'played alone' || schemeOf(spec.scoring).players === 1)
      .map(({ plan, ...one }) => ({ ...one, conditions: plan ? dayOnGreen(plan) : {} })),
    players: players.map((one) => ({
      ...one,
      clubs: (clubs.get(one.playerId) ?? []).map(({ clubId, label, loftDeg }) => ({ clubId, label, loftDeg })),
      swings: swingChart(swung.get(one.playerId) ?? [], one.swingMarks, clubs.get(one.playerId) ?? []).cells,
      favourite: favourites.get(one.playerId) ?? null,
    })),
    bests: (await bestsOf(db, actor, theirs(sessionPlayer.playerId))).flatMap(({ least, most, gameId, ...of }) =>
      gameId !== null && higher.has(gameId) ? [{ ...of, gameId, score: higher.get(gameId) ? most : least }] : [],
    ),
  };
}

function clubsOf(db: Db, academyId: string, theirs: SQL | undefined) {
  return db
    .select({ playerId: club.playerId, clubId: club.clubId, label: club.label, loftDeg: club.loftDeg })
    .from(club)
    .where(and(eq(club.academyId, academyId), theirs))
    .orderBy(asc(club.position));
}

/** The club with most balls on record, by the player. */
async function favouritesOf(db: Db, academyId: string, theirs: SQL | undefined): Promise<Map<string, string>> {
  const { rows } = await db.execute<{ player_id: string; club_label: string }>(sql`
    select distinct on (player_id) player_id, club_label from (
      select player_id, club_label, count(*) as balls from ${shot}
      where academy_id = ${academyId} and club_label is not null and ${theirs ?? sql`true`}
      group by player_id, club_label) as used
    order by player_id, balls desc, club_label`);
  return new Map(rows.map((row) => [row.player_id, row.club_label]));
}
