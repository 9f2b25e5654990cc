import { turnsOf } from '../game/turn';
import { phasesOf } from '../game/phases';
import { recordOf } from '../game/record';
import { schemeOf } from '../game/scoring';
import type { AnswerKey, Result } from '../game/scoring/scheme';
import { seededRandom, type Random } from '../math/random';
import { timeOrderedId } from '../shot/id';
import type { ShotEvent } from '../shot/shot';
import { referencePutting } from '../skill/putting';
import type { Reference } from '../skill/reference';
import { simulateShot, type PlayerTruth, type Stopped } from '../skill/simulate';
import { snap } from '../units/length';
import { DEMO_GAMES } from './games';
import { DEMO_PLAYERS, type DemoPlayer } from './people';

export const DEMO_WEEKS = 9;
const BALLS_EACH = 1000;
const DAY_MS = 24 * 60 * 60 * 1000;

export type DemoSession = { sessionId: string; game: number; player: number; startedAt: Date; events: ShotEvent[] };

/** The truth behind a demo player. */
export function truthOf(player: DemoPlayer): PlayerTruth {
  const level = referencePutting(player.form.level);
  return {
    level: player.form.level,
    effects: player.effects,
    putting: { angle: level.angle * player.putting.angle, distance: level.distance * player.putting.distance },
  };
}

/**
 * Nine weeks of the demo squad: about a thousand balls each, the last sessions some days before `now`, and two that
 * were not finished. The same seed and moment give the same records on every machine.
 * @param now the moment at which the demo is looked at
 * @param playerIds of `DEMO_PLAYERS`, in their order
 */
export function demoSeason(seed: number, now: Date, playerIds: readonly string[], reference: Reference): DemoSession[] {
  return DEMO_PLAYERS.flatMap((player, index) => {
    const random = seededRandom(seed + index);
    const games = gamesFor(player);
    return games.map((game, i) => {
      const startedAt = startOf(i, games.length, player.hour, now, random);
      const unfinished = i === games.length - 1 && index < 2;
      return playSession({ game, player, index, playerId: playerIds[index]!, startedAt, unfinished, reference, random });
    });
  });
}

/** Which games a player takes up, in turn, the favourite twice a round, until there are a thousand balls. */
function gamesFor(player: DemoPlayer): number[] {
  const round = [0, 1, player.favourite, 3, 4, 2, 5, player.favourite, 6, 1];
  const games: number[] = [];
  for (let balls = 0; balls < BALLS_EACH;) {
    const game = round[games.length % round.length]!;
    games.push(game);
    balls += turnsOf(DEMO_GAMES[game]!).length;
  }
  return games;
}

/** Sessions are spread evenly over the weeks; the last one is one to five days ago. */
function startOf(i: number, of: number, hour: number, now: Date, random: Random): Date {
  const daysAgo = 1 + random.below(2) + ((of - 1 - i) / (of - 1)) * (DEMO_WEEKS * 7 - 4);
  const day = Math.floor((now.getTime() - daysAgo * DAY_MS) / DAY_MS) * DAY_MS;
  return new Date(day + hour * 3600_000 + random.below(40) * 60_000);
}

type Session = {
  game: number;
  player: DemoPlayer;
  index: number;
  playerId: string;
  startedAt: Date;
  unfinished: boolean;
  reference: Reference;
  random: Random;
};

function playSession({ game, player, index, playerId, startedAt, unfinished, reference, random }: Session): DemoSession {
  const spec = DEMO_GAMES[game]!;
  const bytes = () => Uint8Array.from({ length: 10 }, () => random.below(256));
  const idAt = (ms: number) => timeOrderedId(ms, bytes());
  const sessionId = idAt(startedAt.getTime());
  const deviceId = idAt(startedAt.getTime());
  const day = 0.1 * random.normal();
  const truth = truthOf(player);
  const turns = turnsOf(spec).slice(0, unfinished ? 6 : undefined);
  const keys = schemeOf(spec.scoring).asks(phasesOf(spec)[0]!, spec.stations[0]!);
  const events = turns.map((turn, seq): ShotEvent => {
    const playedAt = new Date(startedAt.getTime() + (60 + seq * 40 + random.below(15)) * 1000);
    const { station } = turn;
    const stopped = simulateShot(truth, station, day, reference, random);
    const counts = random.uniform() < 0.006 ? 'collided' : 'ordinary';
    return {
      eventId: idAt(playedAt.getTime()),
      shotId: idAt(playedAt.getTime()),
      sessionId,
      deviceId,
      deviceSeq: seq,
      deviceAt: playedAt.toISOString(),
      kind: 'record',
      payload: {
        ...recordOf(turn, writtenDown(keys, stopped, random), { playerId, sessionId }, playedAt),
        counts,
      },
    };
  });
  return { sessionId, game, player: index, startedAt, events };
}

/** How a player writes a ball down: mostly by the ring, often by a tap on the target, sometimes with the tape. */
function writtenDown(keys: readonly AnswerKey[], { holed, leftM, bearingDeg }: Stopped, random: Random): Result {
  if (holed) return keys.find((key) => key.kind === 'holed')!.result;
  const how = random.uniform();
  const measured = how < 0.5 ? 'ring' : how < 0.8 ? 'eye' : 'tape';
  if (measured === 'ring') return (keys.find((key) => key.kind === 'ring' && leftM <= key.edgeM!) ?? keys.at(-1)!).result;
  const read = leftM * Math.exp((measured === 'eye' ? 0.2 : 0.02) * random.normal());
  return {
    holed: false,
    leftM: snap(Math.max(0.05, read)),
    leftMinM: null,
    leftMaxM: null,
    bearingDeg: measured === 'eye' ? Math.round(bearingDeg) % 360 : null,
    measured,
  };
}
