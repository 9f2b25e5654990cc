import { carryOf, type CarriedShot } from '@/core/tools/carried';
import type { Station } from '@/core/game/station';
import { and, desc, eq, isNotNull, ne, or, sql } from 'drizzle-orm';
import type { Actor } from '../actor';
import type { Db } from '../client';
import { session, sessionPlayer, shot } from '../schema';

/** More than so many of the newest say nothing new. */
const MOST = 600;

/** A player's newest ordinary balls of which is known how far they flew. */
export async function carriedShots(db: Db, actor: Actor, playerId: string): Promise<CarriedShot[]> {
  const rows = await db
    .select({
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
        eq(shot.playerId, playerId),
        eq(shot.counts, 'ordinary'),
        ne(shot.shotType, 'putt'),
        or(isNotNull(shot.carryM), isNotNull(shot.landingErrorM)),
      ),
    )
    .orderBy(desc(shot.playedAt))
    .limit(MOST);
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
