import { projectShots } from '../shot/project';
import { storedBundles, type Bundle } from '../exchange/bundle';
import { recordOf } from '../play/record';
import { plainEntrant, type Entrant } from '../game/entrant';
import { playSession, type PlayOptions, type Table } from '../play/play';
import { turnsOf, type Turn } from '../game/turn';
import type { Result } from '../game/scoring/ball';
import { GAME_VERSION, gameSpecSchema, type GameSpec } from '../game/spec';
import { stationSchema, type Station } from '../game/station';
import { EVENT_VERSION } from '../shot/read-event';
import type { Shot, ShotAmend, ShotEvent } from '../shot/shot';
import { toMetres } from '../units/length';

/** Things for tests, made as short as can be: a game, results, balls, events. */

export const ft = (feet: number) => toMetres(feet, 'ft');
export const yd = (yards: number) => toMetres(yards, 'yd');

export const PLAYER = '00000000-0000-7000-8000-0000000000aa';
export const SESSION = '00000000-0000-7000-8000-0000000000bb';
const DEVICE = '00000000-0000-7000-8000-0000000000dd';
export const idOf = (n: number) => `00000000-0000-7000-8000-${n.toString(16).padStart(12, '0')}`;

export function station(key: string, more: Partial<Station> = {}): Station {
  const plain = { key, shotType: 'chip', surface: 'fairway', distanceM: yd(15), distanceUnit: 'yd', balls: 3 };
  return { ...stationSchema.parse(plain), ...more };
}

/** Two stations of three balls; rings at 3, 6 and 10 ft worth 4, 2 and 1; holed 6. */
export function game(more: Partial<GameSpec> = {}): GameSpec {
  return gameSpecSchema.parse({
    format: 'inch-game',
    version: GAME_VERSION,
    title: 'Two spots',
    stations: [station('a'), station('b', { shotType: 'pitch', surface: 'light_rough', distanceM: yd(25) })],
    sizes: { unit: 'ft' },
    scoring: {
      scheme: 'ring_points',
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
  return recordTurn(turnsOf(spec)[turnNo]!, result, n);
}

/** The same for any turn and player. */
export function recordTurn(turn: Turn, result: Result, n: number, playerId = PLAYER, at = '2026-05-01T18:00:00.000Z'): ShotEvent {
  return {
    version: EVENT_VERSION,
    eventId: idOf(1000 + n),
    shotId: idOf(2000 + n),
    sessionId: SESSION,
    deviceId: DEVICE,
    deviceSeq: n,
    deviceAt: at,
    kind: 'record',
    payload: recordOf(turn, result, { playerId, sessionId: SESSION }, new Date(at)),
  };
}

/** A correction of a ball. */
export function amend(shotId: string, payload: ShotAmend, n: number): ShotEvent {
  const at = '2026-05-01T18:30:00.000Z';
  const said = { version: EVENT_VERSION, sessionId: SESSION, deviceId: DEVICE, deviceAt: at };
  return { ...said, eventId: idOf(4000 + n), shotId, deviceSeq: n, kind: 'amend', payload };
}

export function voidOf(event: ShotEvent, n: number): ShotEvent {
  const { shotId, sessionId, deviceId, deviceAt } = event;
  return {
    version: EVENT_VERSION,
    eventId: idOf(3000 + n),
    shotId,
    sessionId,
    deviceId,
    deviceSeq: 500 + n,
    deviceAt,
    kind: 'void',
    payload: {},
  };
}

const PLAIN = game();

/** One ball of one kind of shot, outside any game. */
export function shot(kind: Partial<Shot>, result: Result, n = 1): Shot {
  const event = record(PLAIN, 0, result, n);
  return { ...(event.payload as Shot), shotId: event.shotId, ...kind };
}

/** Players for tests, the first of them `PLAYER`. */
export const entrants = (n: number, more: Partial<Entrant> = {}): Entrant[] =>
  Array.from({ length: n }, (_, i) => ({ ...plainEntrant(i === 0 ? PLAYER : idOf(9000 + i)), ...more }));

/**
 * Plays a game as people would: ball after ball, each by whose turn it is, until it is over or nothing is answered.
 * @param answer the result of a ball; null stops
 * @param putts in how many strokes a ball is finished, where balls are putted out after all were hit; null stops
 */
export function playOut(
  spec: GameSpec,
  answer: (turn: Turn, seat: number, n: number) => Result | null,
  {
    seats = 1,
    people = entrants(seats),
    putts = () => 2,
    ...options
  }: PlayOptions & { seats?: number; people?: Entrant[]; putts?: (ball: Shot) => number | null } = {},
): { table: Table; events: ShotEvent[] } {
  const events: ShotEvent[] = [];
  let balls = 0;
  for (let n = 0; n < 2000; n++) {
    const table = playSession(spec, people, projectShots(events), options);
    if (table.turn === null) return { table, events };
    const [hit] = table.standings[table.turn]!.toPuttOut;
    if (hit) {
      const strokes = putts(hit);
      if (strokes === null) return { table, events };
      events.push(amend(hit.shotId, { strokes }, n));
      continue;
    }
    const turn = table.standings[table.turn]!.next!;
    const result = answer(turn, table.turn, balls++);
    if (!result) return { table, events };
    events.push(recordTurn(turn, result, n, people[table.turn]!.playerId));
  }
  throw new Error('the game does not end');
}

/** The same with a list of results, one a ball. */
export function playList(spec: GameSpec, results: readonly Result[], options: Parameters<typeof playOut>[2] = {}) {
  return playOut(spec, (_turn, _seat, n) => results[n] ?? null, options);
}

/** Somebody at play, as a bundle has them. */
export function bundlePlayer(name: string, more: Partial<Bundle['players'][number]> = {}): Bundle['players'][number] {
  const entrant = more.entrant ?? plainEntrant(more.playerId ?? PLAYER);
  const plain = { handed: 'right', units: 'imperial', clubs: [], favourite: null, best: null } as const;
  const open = { measures: { paceM: null, clubM: null }, usual: {}, notes: { own: '', coach: '', coaches: [] } };
  return { ...plain, ...open, clubs: [], marks: [], playerId: entrant.playerId, name, entrant, ...more };
}

/** A session as a device gets it, of one player called Otto. */
export function bundleOf(spec: GameSpec, events: readonly ShotEvent[] = [], more: Partial<Bundle> = {}): Bundle {
  return {
    version: storedBundles.version,
    academy: { slug: 'here', name: 'Here' },
    sessionId: SESSION,
    gameId: idOf(9),
    startedAt: '2026-05-01T18:00:00.000Z',
    stopped: false,
    spec,
    only: null,
    stations: [],
    conditions: {},
    players: [bundlePlayer('Otto')],
    events: events.map((event, i) => ({ seq: i + 1, event })),
    ...more,
  };
}
