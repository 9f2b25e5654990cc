import { recordOf } from '../game/record';
import { turnsOf } from '../game/order';
import type { Result } from '../game/scoring/scheme';
import { gameSpecSchema, type GameSpec, type Station } from '../game/spec';
import type { Shot, ShotEvent } from '../shot/shot';
import { toMetres } from '../units/length';

/** Things for tests, made as short as can be: a game, results, balls, events. */

export const ft = (feet: number) => toMetres(feet, 'ft');
export const yd = (yards: number) => toMetres(yards, 'yd');

export const PLAYER = '00000000-0000-7000-8000-0000000000aa';
export const SESSION = '00000000-0000-7000-8000-0000000000bb';
const DEVICE = '00000000-0000-7000-8000-0000000000dd';
export const idOf = (n: number) => `00000000-0000-7000-8000-${n.toString(16).padStart(12, '0')}`;

export function station(key: string, more: Partial<Station> = {}): Station {
  return {
    key,
    shotType: 'chip',
    surface: 'fairway',
    sit: 'clean',
    stance: 'flat',
    trajectory: null,
    distanceM: yd(15),
    distanceUnit: 'yd',
    balls: 3,
    ...more,
  };
}

/** Two stations of three balls; rings at 3, 6 and 10 ft worth 4, 2 and 1; holed 6. */
export function game(more: Partial<GameSpec> = {}): GameSpec {
  return gameSpecSchema.parse({
    format: 'inch-game',
    version: 1,
    title: 'Two spots',
    stations: [station('a'), station('b', { shotType: 'pitch', surface: 'light_rough', distanceM: yd(25) })],
    scoring: {
      scheme: 'ring_points',
      ringUnit: 'ft',
      holedPoints: 6,
      rings: [
        { key: 'r1', radiusM: ft(3), points: 4 },
        { key: 'r2', radiusM: ft(6), points: 2 },
        { key: 'r3', radiusM: ft(10), points: 1 },
      ],
    },
    goal: null,
    ...more,
  });
}

const nothing: Result = { holed: false, leftM: null, leftMinM: null, leftMaxM: null, bearingDeg: null, measured: 'tape' };
export const holed: Result = { ...nothing, holed: true };
export const left = (feet: number, bearingDeg: number | null = null): Result => ({ ...nothing, leftM: ft(feet), bearingDeg });
export const between = (near: number, far: number | null): Result => ({
  ...nothing,
  measured: 'ring',
  leftMinM: ft(near),
  leftMaxM: far === null ? null : ft(far),
});

/** The event that records a result for a turn of a game; `n` makes its ids. */
export function record(spec: GameSpec, turnNo: number, result: Result, n = turnNo): ShotEvent {
  const turn = turnsOf(spec)[turnNo]!;
  return {
    eventId: idOf(1000 + n),
    shotId: idOf(2000 + n),
    sessionId: SESSION,
    deviceId: DEVICE,
    deviceSeq: n,
    deviceAt: '2026-05-01T18:00:00.000Z',
    kind: 'record',
    payload: recordOf(turn, result, { playerId: PLAYER, sessionId: SESSION }, new Date('2026-05-01T18:00:00Z')),
  };
}

export function voidOf(event: ShotEvent, n: number): ShotEvent {
  const { shotId, sessionId, deviceId, deviceAt } = event;
  return { eventId: idOf(3000 + n), shotId, sessionId, deviceId, deviceSeq: 500 + n, deviceAt, kind: 'void', payload: {} };
}

const PLAIN = game();

/** One ball of one kind of shot, outside any game. */
export function shot(kind: Partial<Shot>, result: Result, n = 1): Shot {
  const event = record(PLAIN, 0, result, n);
  return { ...(event.payload as Shot), shotId: event.shotId, ...kind };
}
