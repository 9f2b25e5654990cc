import type { Bundle } from '@/core/exchange/bundle';
import { seedOf } from '@/core/game/order';
import { playSession, type Standing } from '@/core/play/play';
import { lastPuttedOut } from '@/core/play/putting-out';
import { recordOf } from '@/core/play/record';
import type { Result } from '@/core/game/scoring/ball';
import type { Turn } from '@/core/game/turn';
import { shotRecordSchema, type Shot, type ShotAmend } from '@/core/shot/shot';
import { now } from '../form/ids';
import { sayAboutShots } from './device/store';
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
  return called && turn.turnNo === standing.callNo;
}

/**
 * Records a ball on the device, for the turn that the player saw when pressing; a press that comes late, twice or in
 * another tab, when that turn is taken already, records nothing. Sending follows by itself.
 * @param seat the player's place
 * @param outOfTurn whether the ball was asked for by its station, and not by whose turn it is
 * @returns whether the ball was recorded
 */
export function recordBall(sitting: Sitting, seat: number, turn: Turn, result: Result, outOfTurn = false): Promise<boolean> {
  return recordAll(sitting, seat, [{ turn, result }], outOfTurn);
}

/**
 * Records a set of balls that were counted together: all of them, or none where a turn is taken already.
 * @param turns of the set, one for each result
 * @returns whether they were recorded
 */
export function recordSet(sitting: Sitting, seat: number, turns: readonly Turn[], results: readonly Result[]): Promise<boolean> {
  return recordAll(
    sitting,
    seat,
    results.map((result, i) => ({ turn: turns[i]!, result })),
    true,
  );
}

async function recordAll(
  sitting: Sitting,
  seat: number,
  balls: readonly { turn: Turn; result: Result }[],
  outOfTurn: boolean,
): Promise<boolean> {
  const { sessionId, players } = sitting;
  const who = { sessionId, playerId: players[seat]!.playerId };
  const playedAt = nextMoment();
  // What could not be sent is not kept either: a ball that contradicts itself would hold up all others.
  const records = balls.map(({ turn, result }) => shotRecordSchema.safeParse(recordOf(turn, result, who, playedAt)).data);
  const payloads = records.filter((record) => record !== undefined);
  if (payloads.length < balls.length) return false;
  const stored = await sayAboutShots(sessionId, (shots) => {
    const standing = tableOf(sitting, shots).standings[seat]!;
    return balls.every(({ turn }) => isOpen(standing, turn, outOfTurn)) ? payloads.map((payload) => ({ kind: 'record', payload })) : [];
  });
  void sendWaiting();
  return stored;
}

let lastMs = 0;
/** Now, and never the moment of what was recorded before: balls of one moment are a set. */
function nextMoment(): Date {
  lastMs = Math.max(now(), lastMs + 1);
  return new Date(lastMs);
}

/** Balls of one player at one station that were recorded in one moment: a set that was counted together. */
function setOf(last: Shot, shots: readonly Shot[]): Shot[] {
  const { playerId, stationKey, phase, playedAt } = last;
  return shots.filter(
    (shot) => shot.playerId === playerId && shot.stationKey === stationKey && shot.phase === phase && shot.playedAt === playedAt,
  );
}

/**
 * Takes back how the last ball was putted out, where balls are putted out after all were hit.
 * @returns whether there was one
 */
export async function undoPutts({ sessionId, spec, only }: Sitting): Promise<boolean> {
  const stored = await sayAboutShots(sessionId, (shots) => {
    const last = shots.findLast((shot) => only === null || shot.playerId === only);
    const putted = last && lastPuttedOut(spec, shots, last);
    return putted ? [{ kind: 'amend', shotId: putted.shotId, payload: { strokes: null } }] : [];
  });
  void sendWaiting();
  return stored;
}

/**
 * Takes what was recorded last back, whoever's it was: a ball, or a set that was counted together; by a personal link, its player's
 * last. The removal is a fact like any other.
 * @returns the balls that were removed; none where there was none
 */
export async function undoBall({ sessionId, only }: Sitting): Promise<Shot[]> {
  let gone: Shot[] = [];
  await sayAboutShots(sessionId, (shots) => {
    const last = shots.findLast((shot) => only === null || shot.playerId === only);
    gone = last ? setOf(last, shots) : [];
    return gone.map(({ shotId }) => ({ kind: 'void', shotId }));
  });
  void sendWaiting();
  return gone;
}

/**
 * Puts balls back that were removed: what was said of them is said anew, as balls of their own.
 * @returns whether they are back; not where the turn of one was taken by another ball meanwhile
 */
export async function putBackBalls(sitting: Sitting, gone: readonly Shot[]): Promise<boolean> {
  const stored = await sayAboutShots(sitting.sessionId, (shots) => {
    const table = tableOf(sitting, shots);
    const fits = gone.every((ball) => {
      const seat = sitting.players.findIndex((player) => player.playerId === ball.playerId);
      if (seat < 0) return false;
      const { next, open, choice } = table.standings[seat]!;
      return [next, ...open, ...choice].some(
        (turn) => turn !== null && turn.turnNo === ball.turnNo && turn.station.key === ball.stationKey && turn.ballNo === ball.ballNo,
      );
    });
    return fits ? gone.map(({ shotId: _gone, ...payload }) => ({ kind: 'record', payload })) : [];
  });
  void sendWaiting();
  return stored;
}

/** Corrects a ball: what was said before stays on record. A ball that is gone meanwhile stays gone. */
export async function amendBall({ sessionId, only }: Sitting, shotId: string, change: ShotAmend): Promise<boolean> {
  const stored = await sayAboutShots(sessionId, (shots) =>
    mayChange(shots, shotId, only) ? [{ kind: 'amend', shotId, payload: change }] : [],
  );
  void sendWaiting();
  return stored;
}

/** Takes one ball out of the record, whichever it is; that it was there stays on record. */
export async function removeBall({ sessionId, only }: Sitting, shotId: string): Promise<boolean> {
  const stored = await sayAboutShots(sessionId, (shots) => (mayChange(shots, shotId, only) ? [{ kind: 'void', shotId }] : []));
  void sendWaiting();
  return stored;
}

function mayChange(shots: readonly Shot[], shotId: string, only: string | null): boolean {
  return shots.some((shot) => shot.shotId === shotId && (only === null || shot.playerId === only));
}
