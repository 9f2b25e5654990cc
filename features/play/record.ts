import type { Bundle } from '@/core/exchange/bundle';
import { seedOf } from '@/core/game/order';
import { playSession, type Standing, type Table } from '@/core/play/play';
import { recordOf } from '@/core/play/record';
import { schemeOf } from '@/core/game/scoring';
import { farM, type Result } from '@/core/game/scoring/ball';
import type { Turn } from '@/core/game/turn';
import { shotRecordSchema, type Shot, type ShotAmend } from '@/core/shot/shot';
import { now } from '../form/ids';
import { sayAboutShot } from './device/store';
import { sendWaiting } from './device/sync';

/** A session as play needs it: the game, and who plays. */
export type Sitting = Pick<Bundle, 'sessionId' | 'spec' | 'players' | 'only'>;

/** How a session stands. */
export function tableOf({ sessionId, spec, players }: Sitting, shots: readonly Shot[], atMs?: number) {
  const entrants = players.map((player) => player.entrant);
  return playSession(spec, entrants, shots, { seed: seedOf(sessionId), ...(atMs === undefined ? {} : { atMs }) });
}

/**
 * Whether a turn can be played now: it is the next one, one that may be chosen, or one at a station that is just being
 * called; out of turn, where somebody stands at its station, any that is open.
 */
function isOpen(standing: Standing, turn: Turn, outOfTurn: boolean): boolean {
  if (standing.over) return false;
  const offered = [standing.next, ...(outOfTurn ? standing.open : standing.choice)].filter((one) => one !== null);
  if (
    offered.some(
      (one) =>
        one.turnNo === turn.turnNo && one.station.key === turn.station.key && one.ballNo === turn.ballNo && one.attempt === turn.attempt,
    )
  )
    return true;
  const called = standing.game.open && !standing.game.stations.some((station) => station.key === turn.station.key);
  return called && turn.turnNo === (standing.next?.turnNo ?? 0);
}

/**
 * Records a ball on the device, for the turn that the player saw when pressing; a press that comes late, twice or in
 * another tab, when that turn is taken already, records nothing. Sending follows by itself.
 * @param seat the player's place
 * @param outOfTurn whether the ball was asked for by its station, and not by whose turn it is
 * @returns whether the ball was recorded
 */
export async function recordBall(sitting: Sitting, seat: number, turn: Turn, result: Result, outOfTurn = false): Promise<boolean> {
  const { sessionId, players } = sitting;
  const who = { sessionId, playerId: players[seat]!.playerId };
  // What could not be sent is not kept either: a ball that contradicts itself would hold up all others.
  const record = shotRecordSchema.safeParse(recordOf(turn, result, who, new Date(now())));
  if (!record.success) return false;
  const stored = await sayAboutShot(sessionId, (shots) =>
    isOpen(tableOf(sitting, shots).standings[seat]!, turn, outOfTurn) ? { kind: 'record', payload: record.data } : null,
  );
  void sendWaiting();
  return stored;
}

/**
 * Takes the last recorded ball back, whoever's it was; by a personal link, its player's last. With none, nothing happens.
 * The removal is a fact like any other.
 */
export async function undoBall({ sessionId, only }: Sitting): Promise<boolean> {
  const stored = await sayAboutShot(sessionId, (shots) => {
    const last = shots.findLast((shot) => only === null || shot.playerId === only);
    return last ? { kind: 'void', shotId: last.shotId } : null;
  });
  void sendWaiting();
  return stored;
}

/** Corrects a ball: what was said before stays on record. A ball that is gone meanwhile stays gone. */
export async function amendBall({ sessionId, only }: Sitting, shotId: string, change: ShotAmend): Promise<boolean> {
  const stored = await sayAboutShot(sessionId, (shots) =>
    mayChange(shots, shotId, only) ? { kind: 'amend', shotId, payload: change } : null,
  );
  void sendWaiting();
  return stored;
}

/** Takes one ball out of the record, whichever it is; that it was there stays on record. */
export async function removeBall({ sessionId, only }: Sitting, shotId: string): Promise<boolean> {
  const stored = await sayAboutShot(sessionId, (shots) => (mayChange(shots, shotId, only) ? { kind: 'void', shotId } : null));
  void sendWaiting();
  return stored;
}

function mayChange(shots: readonly Shot[], shotId: string, only: string | null): boolean {
  return shots.some((shot) => shot.shotId === shotId && (only === null || shot.playerId === only));
}

/** The nearest that somebody else lies in the round that a player is about to play, in metres; null where nobody is measured. */
export function toBeat({ standings }: Table, seat: number): number | null {
  const { next, phase } = standings[seat]!;
  if (!next || !schemeOf(phase.scoring).round) return null;
  const others = standings.filter((_, i) => i !== seat).flatMap((one) => one.played.filter((shot) => shot.turnNo === next.turnNo));
  const nearest = Math.min(...others.map(farM));
  return Number.isFinite(nearest) ? nearest : null;
}
