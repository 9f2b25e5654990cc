import { phasesOf } from '../game/phases';
import { schemeOf } from '../game/scoring';
import type { GameSpec } from '../game/spec';
import type { SkillModel } from '../skill/model';
import { allowancesFor, type SuggestedAllowances } from './allowances';
import { playGames, type PlayedGames, type ForecastPlayer } from './games';
import { goalFor, type SuggestedGoal } from './goal';
import { playerOfLevel } from './levels';
import { outlookOf, quantile, type Outlook } from './outlook';
import { parsFor, type SuggestedPar } from './par';
import { ratesOf, sizesFor, stopsOf, type SuggestedSize } from './sizes';
import { compareInformation, type Information } from './information';

/** So many games stand behind a forecast, and so many at most behind a first, rough one. */
export const FINE_GAMES = 10_000;
const ROUGH_GAMES = 400;
const FEWEST_GAMES = 50;
/** A rough row is at most so many balls. */
const ROUGH_BALLS = 24_000;
/** Balls behind suggested zones, and behind the par of each station. */
const ZONE_BALLS = 20_000;
const PAR_BALLS = 8000;
/** The same game, the same forecast: on the screen and in the command line. */
export const SEED = 1;

/** Who is asked about. */
export type Row = ForecastPlayer & { key: string };

export type ForecastQuestion = {
  game: GameSpec;
  rows: readonly Row[];
  /** For which of the rows goals, zones and pars are suggested, by its key. */
  target: string;
  /** How likely the suggested goal should be, and what share of the balls the widest zone should catch. */
  wantedChance: number;
  wantedRate: number;
  /** How likely par or better should be. */
  wantedPar: number;
  /** In games that add up lengths, the step of a goal, in metres. */
  goalStepM: number;
  /** Rows that play against each other, by their keys: fewer than two for none. */
  together: readonly string[];
  /** Whether only what makes those even is asked. */
  onlyTogether?: boolean;
};

/** Pieces of an answer, as they come. */
export type Part =
  | { kind: 'row'; key: string; rough: boolean; outlook: Outlook }
  | { kind: 'goal'; goal: SuggestedGoal | null }
  | { kind: 'zones'; now: { path: string; rate: number }[]; suggested: SuggestedSize[] }
  | { kind: 'pars'; pars: SuggestedPar[] }
  | { kind: 'information'; information: Information }
  /** For the rows of these keys, in their order. */
  | { kind: 'together'; keys: readonly string[]; games: number; allowances: SuggestedAllowances };

/**
 * Answers a question piece by piece: rough rows first, then what the game tells and the zones, then every row in full,
 * with what follows from it.
 * @yields a piece, or null where there is none yet but somebody may want to stop
 * @throws RangeError for a game without stations
 */
export function* forecast(question: ForecastQuestion, model: SkillModel): Generator<Part | null, void, void> {
  if (!question.onlyTogether) yield* alone(question, model);
  const { game, rows } = question;
  const together = question.together.flatMap((key) => rows.find((row) => row.key === key) ?? []);
  if (together.length < 2) return;
  const played = yield* breathing(playGames(game, together, model, { games: FINE_GAMES, seed: SEED }));
  yield { kind: 'together', keys: together.map(({ key }) => key), games: FINE_GAMES, allowances: allowancesFor(game, together, played) };
}

/** What is answered of each row, and for the one that goals and sizes are suggested for. */
function* alone(question: ForecastQuestion, model: SkillModel): Generator<Part | null, void, void> {
  const { game, rows } = question;
  const target = rows.find(({ key }) => key === question.target) ?? rows[0];
  if (!target) return;
  for (const row of rows) {
    const played = yield* playRow(game, row, model, roughGames(game));
    yield { kind: 'row', key: row.key, rough: true, outlook: outlookOf(game, played) };
  }
  const stops = stopsOf(game, target, model, { balls: ZONE_BALLS, seed: SEED });
  yield { kind: 'zones', now: ratesOf(game, target, stops), suggested: sizesFor(game, target, stops, question.wantedRate) };
  yield { kind: 'information', information: compareInformation(game, target, model, circleFor(stops.leftM)) };
  if (schemeOf(game.scoring).stationSays.includes('par')) {
    const pars = parsFor(game, target, model, question.wantedPar, { balls: PAR_BALLS, seed: SEED });
    yield { kind: 'pars', pars };
  }
  // Whom the suggestions are for comes first.
  for (const row of [target, ...rows.filter((one) => one !== target)]) {
    const played = yield* playRow(game, row, model, FINE_GAMES);
    yield { kind: 'row', key: row.key, rough: false, outlook: outlookOf(game, played) };
    if (row === target) yield { kind: 'goal', goal: goalFor(game, played, question.wantedChance, question.goalStepM) };
  }
}

/** Games of one player: in games of several and in races, against another one of their level. */
export function* playRow(
  game: GameSpec,
  row: ForecastPlayer,
  model: SkillModel,
  games: number,
  seed = SEED,
): Generator<null, PlayedGames, void> {
  const { scoring } = game;
  const scheme = schemeOf(scoring);
  const others = scheme.players > 1 || scheme.race(scoring) ? [playerOfLevel(game, row.entrant.level, model)] : [];
  return yield* breathing(playGames(game, [row, ...others], model, { games, seed }));
}

function* breathing<T>(steps: Generator<number, T, void>): Generator<null, T, void> {
  for (;;) {
    const step = steps.next();
    if (step.done) return step.value;
    yield null;
  }
}

function roughGames(game: GameSpec): number {
  const { turns } = phasesOf(game).at(-1)!;
  return Math.max(FEWEST_GAMES, Math.min(ROUGH_GAMES, Math.floor(ROUGH_BALLS / Math.max(1, turns))));
}

/** A circle that catches half of the balls, as one would draw it. */
function circleFor(sortedLeftM: Float64Array): number {
  const halfM = quantile(sortedLeftM, 0.5);
  return Number.isFinite(halfM) && halfM > 0 ? halfM : 0.3048;
}
