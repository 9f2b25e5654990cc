import { carryOf, type CarriedShot } from '@/core/tools/carried';
import type { Station } from '@/core/game/station';
import { and, desc, eq, inArray, isNotNull, ne, or, sql, type SQL } from 'drizzle-orm';
import type { Actor } from '../actor';
import type { Db } from '../client';
import { session, sessionPlayer, shot } from '../schema';

/** More than so many of the newest say nothing new; of several players together, so many. */
const MOST = 600;
const MOST_TOGETHER = 6000;

/** A player's newest ordinary balls of which is known how far they flew. */
export async function carriedShots(db: Db, actor: Actor, playerId: string): Promise<CarriedShot[]> {
  return carriedWhere(db, actor, eq(shot.playerId, playerId), MOST);
}

/** The same balls of several players, of which a swing mark is known: what their charts of swing lengths are made of. */
export async function swungShots(db: Db, actor: Actor, playerIds: readonly string[]): Promise<(CarriedShot & { playerId: string })[]> {
  if (playerIds.length === 0) return [];
  return carriedWhere(db, actor, and(inArray(shot.playerId, [...playerIds]), isNotNull(shot.swingMark)), MOST_TOGETHER);
}

async function carriedWhere(db: Db, actor: Actor, where: SQL | undefined, most: number): Promise<(CarriedShot & { playerId: string })[]> {
  const rows = await db
    .select({
      playerId: shot.playerId,
      shotType: shot.shotType,
      surface: shot.surface,
      trajectory: shot.trajectory,
      swingMark: shot.swingMark,
      clubLabel: shot.clubLabel,
      distanceM: shot.distanceM,
      holed: shot.holed,
      leftM: shot.leftM,
      bearingDeg: shot.bearingDeg,
      intendedM: shot.intendedM,
      stimpFt: shot.stimpFt,
      firmness: shot.firmness,
      playedAt: shot.playedAt,
      carryM: shot.carryM,
      landingErrorM: shot.landingErrorM,
      phase: shot.phase,
      stationKey: shot.stationKey,
      spec: session.spec,
    })
    .from(shot)
    .innerJoin(session, and(eq(session.academyId, shot.academyId), eq(session.sessionId, shot.sessionId)))
    .where(
      and(
        eq(shot.academyId, actor.academyId),
        where,
        eq(shot.counts, 'ordinary'),
        ne(shot.shotType, 'putt'),
        or(isNotNull(shot.carryM), isNotNull(shot.landingErrorM)),
      ),
    )
    .orderBy(desc(shot.playedAt))
    .limit(most);
  return rows.flatMap(({ landingErrorM, phase, stationKey, spec, carryM: recorded, playedAt, ...rest }) => {
    const stations = spec.leadIn[phase]?.stations ?? spec.stations;
    const carryM = carryOf(
      { carryM: recorded, landingErrorM },
      stations.find(({ key }) => key === stationKey),
    );
    return carryM === null ? [] : [{ ...rest, playedAt: new Date(playedAt).toISOString(), carryM }];
  });
}

/** How the putts of a player's sessions run, by station, where their games say so. */
export async function puttRuns(
  db: Db,
  actor: Actor,
  playerId: string,
): Promise<{ sessionId: string; phase: number; stationKey: string; slope: Station['slope']; breaks: Station['breaks'] }[]> {
  const says = sql`${session.spec} @? '$.** ? (@.breaks != null || @.slope != null)'`;
  const rows = await db
    .select({ sessionId: session.sessionId, spec: session.spec })
    .from(session)
    .innerJoin(sessionPlayer, and(eq(sessionPlayer.academyId, session.academyId), eq(sessionPlayer.sessionId, session.sessionId)))
    .where(and(eq(session.academyId, actor.academyId), eq(sessionPlayer.playerId, playerId), says));
  return rows.flatMap(({ sessionId, spec }) =>
    [...spec.leadIn, spec].flatMap(({ stations }, phase) =>
      (stations ?? spec.stations)
        .filter(({ slope, breaks }) => slope !== null || breaks !== null)
        .map(({ key: stationKey, slope, breaks }) => ({ sessionId, phase, stationKey, slope, breaks })),
    ),
  );
}
