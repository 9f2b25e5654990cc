import { compile } from '../play/compile';
import { gameFor, type Entrant } from '../game/entrant';
import { phasesOf } from '../game/phases';
import { schemeOf } from '../game/scoring';
import type { GameSpec } from '../game/spec';
import { normalQuantile } from '../math/normal';
import { Normals } from '../math/normals';
import type { Belief } from '../skill/diagnose';
import type { SkillModel } from '../skill/model';
import { executesAt, type Executed } from './executes';
import { FORM_SD, Shooter } from './shooter';
import { spotOf } from './spots';

/** Somebody in a game that is forecast: what the game takes from them, and what is believed of them. */
export type ForecastPlayer = {
  entrant: Entrant;
  belief: Belief;
  /** What the records say of shots that were to be hit as asked. */
  executed?: Executed;
};

/** What simulated games came to: by player, the score of each game, and whether a perfect first round ended it. */
export type PlayedGames = { scores: Float64Array[]; perfect: Uint8Array[] };

export type HowMany = {
  games: number;
  seed: number;
  /** Standard deviation of the day's form; 0 for none. */
  formSd?: number;
};

/** After about so many balls it is asked whether to go on. */
const BALLS_A_STEP = 40_000;

/**
 * Plays games with players as the model believes them. Each game is played by one draw of what is believed, all draws
 * equally often, so that scores differ by luck, by the day and by what is not known of the player. The same seed plays
 * the same games.
 * @yields how many games are played so far, so that whoever runs it can show that and stop
 * @throws RangeError for a game without stations
 */
export function* playGames(
  game: GameSpec,
  players: readonly ForecastPlayer[],
  model: SkillModel,
  { games, seed, formSd = FORM_SD }: HowMany,
): Generator<number, PlayedGames, void> {
  if (game.stations.length === 0) throw new RangeError('a game without stations cannot be forecast');
  const random = new Normals(seed);
  const stepper = compile(
    game,
    players.map(({ entrant }) => entrant),
    seed,
  );
  const seats = players.map((player, seat) => seatOf(game, player, model, seat, games, random));
  const shooters = seats.map(({ shooter }) => shooter);
  const scores = players.map(() => new Float64Array(games));
  const perfect = players.map(() => new Uint8Array(games));
  let balls = 0;
  for (let g = 0; g < games; g++) {
    for (const { shooter, be } of seats) {
      be(g);
      shooter.day(formSd * random.normal());
    }
    balls += stepper.play(shooters);
    for (let seat = 0; seat < seats.length; seat++) {
      scores[seat]![g] = stepper.score(seat);
      perfect[seat]![g] = stepper.perfect(seat) ? 1 : 0;
    }
    if (balls >= BALLS_A_STEP) {
      balls = 0;
      yield g + 1;
    }
  }
  return { scores, perfect };
}

/** The same in one go. */
export function playAll(game: GameSpec, players: readonly ForecastPlayer[], model: SkillModel, how: HowMany): PlayedGames {
  return toTheEnd(playGames(game, players, model, how));
}

/** What comes of steps when nobody stops them. */
export function toTheEnd<T>(steps: Generator<unknown, T, void>): T {
  for (;;) {
    const step = steps.next();
    if (step.done) return step.value;
  }
}

/**
 * A player at their place: who hits, and which of their draws plays which game.
 * @param games how many are played: all draws play equally many
 */
export function seatOf(
  game: GameSpec,
  { entrant, belief, executed }: ForecastPlayer,
  model: SkillModel,
  seat: number,
  games: number,
  random: Normals,
) {
  const prior = model.prior(belief.level);
  const own = gameFor(game, entrant);
  const phase = phasesOf(own).at(-1)!;
  const { scoring, rules, stations } = phase;
  const scheme = schemeOf(scoring);
  const zone = scheme.zones(scoring).find(({ of }) => of === 'landing');
  const shooter = new Shooter(
    stations.map((station) => spotOf(station, prior, model.reference)),
    prior,
    {
      seen: scheme.sees(scoring),
      side: rules.goodSide,
      offGreen: rules.offGreenCost !== null,
      zoneM: zone?.radiusM ?? 1,
      strip: zone?.strip ?? false,
    },
    random,
  );
  const { draws } = belief;
  let current = -1;
  const be = (g: number) => {
    const at = drawFor(g, games, draws.length, seat);
    if (at === current) return;
    current = at;
    shooter.be(draws[at]!, executesAt(belief.level, spreadOut(at, seat), executed));
  };
  return { shooter, be };
}

/**
 * Which draw plays a game. The first player's take turns in their order; the others' in orders of their own, so that two
 * players of one level, whose draws are the same, know nothing of each other.
 */
function drawFor(game: number, games: number, draws: number, seat: number): number {
  if (seat === 0) return Math.floor((game * draws) / games);
  const stride = STRIDES[seat % STRIDES.length]!;
  return (game * stride + Math.floor(game / draws) * (seat + 1)) % draws;
}
/** Primes: steps that come by every draw. */
const STRIDES = [163, 167, 173, 179, 181, 191, 193, 197];

/** A standard normal for each draw, evenly spread over all of them, and for each seat in an order of its own. */
function spreadOut(at: number, seat: number): number {
  const u = (at + 0.5) * Math.sqrt(STRIDES[seat % STRIDES.length]!);
  return normalQuantile(u - Math.floor(u));
}
