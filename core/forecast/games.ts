import { compile } from '../game/compile';
import { gameFor, type Entrant } from '../game/entrant';
import { phasesOf } from '../game/phases';
import { schemeOf } from '../game/scoring';
import type { GameSpec } from '../game/spec';
import { Normals } from '../math/normals';
import type { Belief } from '../skill/diagnose';
import type { SkillModel } from '../skill/model';
import type { Draw } from '../skill/posterior';
import { executesAt } from './executes';
import { FORM_SD, Shooter } from './shooter';
import { spotOf } from './spots';

/** Somebody in a game that is forecast: what the game takes from them, and what is believed of them. */
export type Player = { entrant: Entrant; belief: Belief };

/** What simulated games came to: by player, the score of each game, and whether a perfect first round ended it. */
export type Played = { scores: Float64Array[]; perfect: Uint8Array[] };

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
  players: readonly Player[],
  model: SkillModel,
  { games, seed, formSd = FORM_SD }: HowMany,
): Generator<number, Played, void> {
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
export function playAll(game: GameSpec, players: readonly Player[], model: SkillModel, how: HowMany): Played {
  const steps = playGames(game, players, model, how);
  for (;;) {
    const step = steps.next();
    if (step.done) return step.value;
  }
}

/**
 * A player at their place: who hits, and which of their draws plays which game.
 * @param games how many are played: all draws play equally many
 */
export function seatOf(game: GameSpec, { entrant, belief }: Player, model: SkillModel, seat: number, games: number, random: Normals) {
  const prior = model.prior(belief.level);
  const own = gameFor(game, entrant);
  const phase = phasesOf(own).at(-1)!;
  const { scoring, rules, stations } = phase;
  const shooter = new Shooter(
    stations.map((station) => spotOf(station, prior, model.reference)),
    prior,
    {
      seen: schemeOf(scoring).sees(scoring),
      side: rules.goodSide,
      offGreen: rules.offGreenCost !== null,
      zoneM: scoring.scheme === 'landing_zone' ? scoring.sizeM : 1,
    },
    random,
  );
  // Two players of one level have the same draws: the second and later ones take theirs in another order.
  const draws = seat === 0 ? belief.draws : shuffled(belief.draws, random);
  let current = -1;
  const be = (g: number) => {
    const at = Math.floor((g * draws.length) / games);
    if (at === current) return;
    current = at;
    shooter.be(draws[at]!, executesAt(belief.level, random.normal()));
  };
  return { shooter, be };
}

function shuffled(draws: readonly Draw[], random: Normals): Draw[] {
  const list = [...draws];
  for (let i = list.length - 1; i > 0; i--) {
    const j = Math.floor(random.uniform() * (i + 1));
    [list[i], list[j]] = [list[j]!, list[i]!];
  }
  return list;
}
