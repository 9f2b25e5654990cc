import type { UnitSystem } from '../../units/length';
import { phasesOf } from '../phases';
import { schemeOf } from '../scoring';
import { wordsFor } from '../scoring/words';
import type { GameSpec } from '../spec';
import { sayScore } from './say-score';

/** "goal 17 points", "goal 110 ft"; empty where the game has none. */
export function sayGoal({ goal, scoring }: Pick<GameSpec, 'goal' | 'scoring'>, system: UnitSystem): string {
  return goal === null ? '' : `goal ${sayScore(goal, schemeOf(scoring).unit(scoring), system)}`;
}

/**
 * What a goal means, exactly: "17 over seven stations: four in two, three in three."
 * @returns null where the game has no goal
 */
export function goalInWords(game: GameSpec, system: UnitSystem): string | null {
  const { goal, scoring, sizes } = game;
  const phase = phasesOf(game).at(-1)!;
  if (goal === null || phase.turns === 0) return null;
  return schemeOf(scoring).saysGoal(goal, phase, wordsFor(sizes, system));
}
