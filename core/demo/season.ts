import type { ShotType } from '../golf/words';
import type { Station } from '../game/station';
import { turnsOf } from '../game/turn';
import { phasesOf } from '../game/phases';
import { recordOf } from '../play/record';
import { schemeOf } from '../game/scoring';
import type { AnswerKey } from '../game/scoring/answer-keys';
import type { Result } from '../game/scoring/ball';
import { seededRandom, type Random } from '../math/random';
import { timeOrderedId } from '../shot/id';
import type { ShotEvent } from '../shot/shot';
import { referencePutting } from '../golf/putting';
import type { Reference } from '../golf/reference';
import { simulateShot, type PlayerTruth, type Stopped } from '../made-up/simulate';
import { snap } from '../units/length';
import { recorded } from './event';
import { DEMO_GAMES } from './games';
import { DEMO_PLAYERS, type DemoPlayer } from './people';
import { isPutt } from '../golf/shot-types';

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
  // What else is said of a ball is drawn apart, so that where it stopped hangs on nothing of it.
  const more = seededRandom(startedAt.getTime() % 2 ** 31);
  const keys = schemeOf(spec.scoring).asks(phasesOf(spec)[0]!, spec.stations[0]!);
  const events = turns.map((turn, seq): ShotEvent => {
    const playedAt = new Date(startedAt.getTime() + (60 + seq * 40 + random.below(15)) * 1000);
    const { station } = turn;
    const club = clubFor(player, station, more);
    const stopped = simulateShot(truth, station, day + club.effect, reference, random);
    const result = writtenDown(keys, stopped, random);
    const counts = random.uniform() < 0.006 ? 'collided' : 'ordinary';
    const said = { ...result, ...markedAs(station, stopped, result, { truth, day, reference, random: more }) };
    const record = recordOf(turn, said, { playerId, sessionId }, playedAt);
    return recorded({ sessionId, deviceId, idAt }, seq, playedAt, { ...record, clubLabel: club.label, counts });
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

/** The clubs that are taken for a shot, the favourite first, and how much worse the others are, as a logarithm. */
const CLUBS: Partial<Record<ShotType, readonly string[]>> = {
  bump_and_run: ['9-iron', '7-iron'],
  chip: ['pitching wedge', '9-iron', 'gap wedge'],
  pitch: ['gap wedge', 'sand wedge', 'lob wedge'],
  lob: ['lob wedge', 'sand wedge'],
  bunker: ['sand wedge', 'lob wedge'],
};
const OTHER_CLUB = 0.15;

function clubFor(player: DemoPlayer, { shotType }: Station, random: Random): { label: string | null; effect: number } {
  const bag = player.form.clubs.map(([label]) => label);
  const taken = (CLUBS[shotType] ?? []).filter((label) => bag.includes(label));
  if (taken.length === 0) return { label: null, effect: 0 };
  const at = random.uniform() < 0.5 ? 0 : random.below(taken.length);
  return { label: taken[at]!, effect: at === 0 ? 0 : OTHER_CLUB };
}

/** Beyond so many metres from the hole a ball is off the green there. */
const OFF_GREEN_M = 12;

/** What else a player says of a ball: a mishit, that it stayed off the green, and of some measured ones how many strokes it took. */
function markedAs(
  station: Station,
  { holed, leftM, bearingDeg, mishit }: Stopped,
  result: Result,
  { truth, day, reference, random }: { truth: PlayerTruth; day: number; reference: Reference; random: Random },
): Partial<Result> {
  if (isPutt(station.shotType) || holed) return {};
  const [said, finished, where] = [random.uniform() < 0.7, random.uniform() < 0.35, random.uniform()];
  const short = bearingDeg > 90 && bearingDeg < 270;
  const bad = mishit && said ? { mishit: where < 0.06 ? ('shank' as const) : short ? ('fat' as const) : ('thin' as const) } : {};
  if (leftM > OFF_GREEN_M) return { ...bad, finish: station.shotType === 'bunker' && short ? 'sand' : where < 0.35 ? 'fringe' : 'rough' };
  if (result.leftM === null || !finished) return bad;
  let strokes = 1;
  for (let from = leftM; from > 0 && strokes < 4; strokes++) {
    const putt = simulateShot(truth, { shotType: 'putt', surface: 'green', distanceM: from }, day, reference, random);
    from = putt.holed ? 0 : putt.leftM;
  }
  return { ...bad, strokes };
}
