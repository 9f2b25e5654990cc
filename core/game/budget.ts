import { isPutt } from '../golf/shot-types';
import { shareOut } from '../math/share-out';
import { canAlternate } from './order';
import { lotsOf, phasesOf, type GamePhase } from './phases';
import { schemeOf } from './scoring';
import type { GameSpec } from './spec';
import type { Station } from './station';

/**
 * What a game takes, from judged times (nobody measured them): one look and one stroke by kind of shot, walking at
 * 1.2 m/s, two seconds to pick up a ball, half a minute to putt out.
 */
const WALK_M_PER_S = 1.2;
const PICK_UP_S = 2;
const PUTT_OUT_S = 30;
const strokeS = (station: Station) => (isPutt(station.shotType) ? 20 : 24);
/** A new place for every ball means a new look at it. */
const NEW_LOOK_S = 8;
/** Between two stations round one green: some metres, whatever the distances. */
const BETWEEN_M = 8;

export type Budget = {
  /** Seconds. */
  hittingS: number;
  walkingS: number;
  collectingS: number;
  puttingS: number;
  totalS: number;
  /** Balls to bring. */
  balls: number;
};

/**
 * The time and the balls that a game takes.
 * @param players all at the same station, one after another; they walk together
 */
export function budgetOf(game: GameSpec, players = 1): Budget {
  const parts = phasesOf(game).map((phase) => phaseBudget(phase, players));
  const sum = (name: keyof Budget) => parts.reduce((total, part) => total + part[name], 0);
  const [hittingS, walkingS, collectingS, puttingS] = [sum('hittingS'), sum('walkingS'), sum('collectingS'), sum('puttingS')];
  const totalS = Math.min(hittingS + walkingS + collectingS + puttingS, game.rules.timeLimitS ?? Infinity);
  return { hittingS, walkingS, collectingS, puttingS, totalS, balls: Math.max(0, ...parts.map((part) => part.balls)) };
}

function phaseBudget(phase: GamePhase, players: number): Omit<Budget, 'totalS'> & { totalS: number } {
  const { stations, scoring } = phase;
  if (stations.length === 0) return { hittingS: 0, walkingS: 0, collectingS: 0, puttingS: 0, totalS: 0, balls: 0 };
  const at = visits(phase);
  const moves = at.filter((station, i) => i > 0 && station !== at[i - 1]).length;
  const rounds = roundsOf(phase, at);
  const puttedOut = schemeOf(scoring).puttedOut || phase.rules.puttOut !== 'no';
  const far = (list: readonly number[]) => list.reduce((sum, i) => sum + stations[i]!.distanceM, 0) / Math.max(1, list.length);
  return {
    hittingS: players * (at.reduce((sum, i) => sum + strokeS(stations[i]!), 0) + moves * NEW_LOOK_S),
    walkingS: (moves * BETWEEN_M) / WALK_M_PER_S,
    // A ball that is putted out is picked up from the hole.
    collectingS: puttedOut ? at.length * players * PICK_UP_S : rounds * ((2 * far(at)) / WALK_M_PER_S) + at.length * players * PICK_UP_S,
    puttingS: puttedOut ? at.length * players * PUTT_OUT_S + (at.length * 2 * far(at)) / WALK_M_PER_S : 0,
    totalS: 0,
    balls: players * ballsAtOnce(phase, at, puttedOut),
  };
}

/** Where each ball is played from; where the game decides as it goes, halfway between the fewest balls and the most. */
function visits(phase: GamePhase): number[] {
  if (phase.lots) return phase.lots.map((lot) => lot.at);
  const rungs = phase.stations.length;
  const balls = Math.round((rungs + phase.turns) / 2);
  return Array.from({ length: balls }, (_, i) => Math.floor((i * rungs) / balls));
}

/** How often the balls are collected: after each station where all its balls are played in a row, else after each round. */
function roundsOf(phase: GamePhase, at: readonly number[]): number {
  if (phase.order === 'blocked' && phase.lots) return new Set(at).size;
  return Math.max(1, Math.ceil(at.length / phase.stations.length));
}

function ballsAtOnce(phase: GamePhase, at: readonly number[], puttedOut: boolean): number {
  // Where the next station hangs on each ball, one is enough.
  if (puttedOut || !phase.lots) return 1;
  if (phase.order === 'blocked') return Math.max(...phase.stations.map((_, i) => at.filter((station) => station === i).length));
  return Math.min(at.length, phase.stations.length);
}

/** Minutes as an estimate is said: to the nearest one up to ten, then to five. */
export function roundMinutes(seconds: number): number {
  const minutes = Math.max(1, Math.round(seconds / 60));
  return minutes <= 10 ? minutes : Math.round(minutes / 5) * 5;
}

/** "about 25 min". */
export function sayMinutes(seconds: number): string {
  return `about ${roundMinutes(seconds)} min`;
}

/**
 * What a game takes, in seconds, for so many players.
 * @returns `apart`: everybody at a station of their own, as far as there are stations; null where that is no other time, or no game
 */
export function timesOf(game: GameSpec, players: number): { alone: number; together: number; apart: number | null } {
  const stations = Math.max(1, game.stations.length);
  const inRounds = schemeOf(game.scoring).round !== undefined;
  return {
    alone: budgetOf(game).totalS,
    together: budgetOf(game, players).totalS,
    apart: stations === 1 || inRounds ? null : budgetOf(game, Math.ceil(players / stations)).totalS,
  };
}

/** From so many on, players are spread over the stations instead of walking together. */
export const MANY = 3;

/** Seconds that a game takes so many players: two walk together, more have a station each as far as there are stations. */
export function secondsFor(game: GameSpec, players: number): number {
  if (players < MANY) return budgetOf(game, players).totalS;
  const { together, apart } = timesOf(game, players);
  return apart ?? together;
}

/** "about 35 min alone; for four about 130 min taking turns, about 35 min with a station each". */
export function sayTimes(game: GameSpec): string {
  const { alone, together, apart } = timesOf(game, 4);
  const own = apart === null || sayMinutes(apart) === sayMinutes(together) ? '' : `, ${sayMinutes(apart)} with a station each`;
  return `${sayMinutes(alone)} alone; for four ${sayMinutes(together)}${own && ' taking turns'}${own}`;
}

/**
 * A short version that keeps the mix: as many balls as the minutes allow, shared out as they were (to the nearest ball);
 * with fewer balls than stations, stations from the whole range. The goal shrinks with the balls.
 * @returns null where the game cannot be made so short, or fits as it is
 */
export function shortened(game: GameSpec, minutes: number, players = 1): GameSpec | null {
  const limited = { ...game, rules: { ...game.rules, timeLimitS: null } };
  if (!canShrink(game) || budgetOf(limited, players).totalS <= minutes * 60) return null;
  const fits = (balls: number) => budgetOf({ ...limited, ...shrunk(game, balls / sizeOf(game)) }, players).totalS <= minutes * 60;
  // A share can leave too many balls at one station for an order in which no shot comes twice running.
  const orderly = (balls: number) =>
    game.order !== 'random' || canAlternate(lotsOf(game.scoring, shrunk(game, balls / sizeOf(game)).stations));
  for (let balls = sizeOf(game) - 1; balls >= smallest(game); balls--)
    if (fits(balls) && orderly(balls))
      return { ...game, ...shrunk(game, balls / sizeOf(game)), title: `${game.title.slice(0, 72)}, short` };
  return null;
}

const canShrink = ({ stations, scoring, open }: GameSpec) => stations.length > 0 && schemeOf(scoring).shortens && !open;
/** Where stations are visited as it goes, each is kept, and a ball for each. */
const smallest = ({ scoring, stations }: GameSpec) => (schemeOf(scoring).most ? Math.max(2, stations.length) : 1);
const sizeOf = ({ scoring, stations }: GameSpec) =>
  schemeOf(scoring).most?.(scoring, stations) ?? stations.reduce((sum, station) => sum + station.balls, 0);

function shrunk(game: GameSpec, share: number): Pick<GameSpec, 'stations' | 'scoring' | 'leadIn' | 'goal'> {
  const { scoring } = game;
  const scheme = schemeOf(scoring);
  const leadIn = game.leadIn.map((phase) => ({ ...phase, balls: Math.max(1, Math.round(phase.balls * share)) }));
  const balls = Math.round(sizeOf(game) * share);
  if (scheme.most)
    return { stations: game.stations, leadIn, goal: game.goal, scoring: scheme.shorter(scoring, share, balls, game.stations) };
  const counts = shareOut(
    game.stations.map((station) => station.balls),
    balls,
  );
  const stations = game.stations.flatMap((station, i) => (counts[i]! > 0 ? [{ ...station, balls: counts[i]! }] : []));
  const left = counts.reduce((a, b) => a + b, 0);
  return { stations, leadIn, scoring: scheme.shorter(scoring, share, left, stations), goal: shrunkGoal(game, share) };
}

function shrunkGoal({ goal, scoring }: GameSpec, share: number): number | null {
  if (goal === null) return null;
  return schemeOf(scoring).unit(scoring) === 'length' ? Math.round(goal * share * 1e4) / 1e4 : Math.max(0, Math.round(goal * share));
}
