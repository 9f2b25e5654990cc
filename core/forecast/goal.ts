import { schemeOf } from '../game/scoring';
import type { GameSpec } from '../game/spec';
import type { PlayedGames } from './games';
import { chanceOf, lastDone, quantile } from './outlook';

/** How likely a goal should be that is worth trying for, where nobody says otherwise. */
export const WANTED_CHANCE = 0.4;

/** A goal, and the chance of meeting it. */
export type SuggestedGoal = { goal: number; chance: number };

/**
 * The goal whose chance comes nearest to a wanted one. Where scores are coarse no goal has just that chance: the nearest
 * there is comes with its own.
 * @param stepM in games that add up lengths, the step in which a goal is given, in metres
 * @returns null where nothing that may be a goal is ever scored
 */
export function goalFor(game: GameSpec, played: PlayedGames, wanted: number, stepM: number, seat = 0): SuggestedGoal | null {
  let best: SuggestedGoal | null = null;
  for (const goal of candidates(game, played, wanted, stepM, seat)) {
    const chance = chanceOf(game, played, goal, seat);
    if (!best || Math.abs(chance - wanted) < Math.abs(best.chance - wanted)) best = { goal, chance };
  }
  return best;
}

/** Figures that can be a goal: whole or half ones that were scored, or lengths about the one that is sought. */
function candidates(game: GameSpec, played: PlayedGames, wanted: number, stepM: number, seat: number): number[] {
  const scores = played.scores[seat]!;
  const { scoring } = game;
  if (schemeOf(scoring).unit(scoring) === 'length') {
    const steps = Math.round(quantile(Float64Array.from(scores).sort(), wanted) / stepM);
    return [steps - 1, steps, steps + 1].filter((n) => n > 0).map((n) => Math.round(n * stepM * 1e4) / 1e4);
  }
  // Who meets a goal has done what the game asks for.
  const most = lastDone(game) ?? Infinity;
  return [...new Set(scores)].filter((score) => score >= 0 && score <= most).sort((a, b) => a - b);
}
