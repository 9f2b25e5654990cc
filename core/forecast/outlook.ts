import { phasesOf } from '../game/phases';
import { schemeOf } from '../game/scoring';
import type { GameSpec } from '../game/spec';
import type { PlayedGames } from './games';

/** What a player may score in a game: of so many simulated games, in what the score counts. */
export type Outlook = {
  games: number;
  mean: number;
  /** So many in a hundred score this or less. */
  p10: number;
  p50: number;
  p90: number;
  /** The chance of meeting the goal; null where the game has none. */
  goalChance: number | null;
  /** In games that count what it took: the worst score of those that got there, and the chance of not getting there; else null. */
  undone: { beyond: number; chance: number } | null;
};

/**
 * The score that a share of all is at or under: one that was really scored.
 * @param sorted ascending, at least one
 */
export function quantile(sorted: ArrayLike<number>, share: number): number {
  return sorted[Math.min(sorted.length - 1, Math.max(0, Math.ceil(share * sorted.length - 1e-9) - 1))]!;
}

/** What simulated games of one player say. */
export function outlookOf(game: GameSpec, played: PlayedGames, seat = 0): Outlook {
  const scores = played.scores[seat]!;
  const sorted = Float64Array.from(scores).sort();
  return {
    games: scores.length,
    mean: scores.reduce((sum, score) => sum + score, 0) / scores.length,
    p10: quantile(sorted, 0.1),
    p50: quantile(sorted, 0.5),
    p90: quantile(sorted, 0.9),
    goalChance: game.goal === null ? null : chanceOf(game, played, game.goal, seat),
    undone: undoneIn(game, sorted),
  };
}

function undoneIn(game: GameSpec, sorted: Float64Array): Outlook['undone'] {
  const beyond = lastDone(game);
  if (beyond === null) return null;
  return { beyond, chance: sorted.filter((score) => score > beyond).length / sorted.length };
}

/** The worst score with which a game was done; null where any score is one. */
export function lastDone(game: GameSpec): number | null {
  return schemeOf(game.scoring).lastDone?.(phasesOf(game).at(-1)!) ?? null;
}

/** The chance of a score that is at least as good as `goal`; a perfect round that ends a game reaches any. */
export function chanceOf(game: GameSpec, played: PlayedGames, goal: number, seat = 0): number {
  const higher = schemeOf(game.scoring).better(game.scoring) === 'higher';
  const [scores, perfect] = [played.scores[seat]!, played.perfect[seat]!];
  let met = 0;
  for (let g = 0; g < scores.length; g++)
    if (perfect[g] === 1 || (higher ? scores[g]! >= goal - TINY : scores[g]! <= goal + TINY)) met += 1;
  return met / scores.length;
}

/** Scores of lengths are sums of rounded figures. */
const TINY = 1e-9;
