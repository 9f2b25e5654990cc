import { typeWith } from '../golf/shot-types';
import type { ShotRecord } from '../shot/shot';
import type { Turn } from '../game/turn';
import type { Result } from '../game/scoring/ball';

/** Whose ball, in which session. */
export type Who = { playerId: string; sessionId: string };

/**
 * A ball of a turn: as the station says and the game asks, with the result that was entered. A ball that is hit again
 * is marked as such, and is no ordinary evidence.
 */
export function recordOf(turn: Turn, result: Result, who: Who, playedAt: Date): ShotRecord {
  const { station, turnNo, ballNo } = turn;
  const club = result.clubLabel ?? turn.asked.club ?? station.club;
  return {
    ...who,
    phase: turn.phase,
    turnNo,
    ballNo,
    stationKey: station.key,
    shotType: typeWith(station.shotType, result.surface ?? station.surface, club),
    surface: station.surface,
    sit: station.sit,
    stance: station.stance,
    trajectory: turn.asked.trajectory ?? station.trajectory,
    shape: turn.asked.shape ?? station.shape,
    swingWidth: turn.asked.swingWidth ?? null,
    clubLabel: club,
    target: station.target,
    distanceM: station.distanceM,
    swingMark: null,
    clubId: null,
    par: station.par,
    strokes: null,
    penalty: 0,
    finish: null,
    landed: null,
    executed: null,
    called: turn.asked.route ?? null,
    nearer: null,
    carryM: null,
    landingErrorM: null,
    landedSide: null,
    intendedM: null,
    mishit: null,
    nBalls: 1,
    sumLeftM: null,
    counts: turn.attempt > 1 ? 'rehit' : 'ordinary',
    wind: null,
    stimpFt: null,
    firmness: null,
    note: null,
    ...result,
    playedAt: playedAt.toISOString(),
  };
}
