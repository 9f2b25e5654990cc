import type { ShotRecord } from '../shot/shot';
import type { Turn } from './order';
import type { Result } from './scoring/scheme';

/** Whose ball, in which session. */
export type Who = { playerId: string; sessionId: string };

/** A plain ball of a turn: as the station says, with the result that was entered. */
export function recordOf(turn: Turn, result: Result, who: Who, playedAt: Date): ShotRecord {
  const { station, turnNo, ballNo } = turn;
  return {
    ...who,
    phase: 0,
    turnNo,
    ballNo,
    stationKey: station.key,
    shotType: station.shotType,
    surface: station.surface,
    sit: station.sit,
    stance: station.stance,
    trajectory: station.trajectory,
    distanceM: station.distanceM,
    ...result,
    shape: null,
    swingWidth: null,
    swingMark: null,
    clubId: null,
    target: 'hole',
    strokes: null,
    penalty: 0,
    finish: null,
    landed: null,
    carryM: null,
    landingErrorM: null,
    intendedM: null,
    mishit: null,
    nBalls: 1,
    sumLeftM: null,
    counts: 'ordinary',
    wind: null,
    stimpFt: null,
    firmness: null,
    note: null,
    playedAt: playedAt.toISOString(),
  };
}
