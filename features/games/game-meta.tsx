import { budgetOf, sayMinutes } from '@/core/game/budget';
import { ballsOf } from '@/core/game/phases';
import { sayGoal } from '@/core/game/words/goal-words';
import { schemeOf } from '@/core/game/scoring';
import type { GameSpec } from '@/core/game/spec';
import { counted } from '@/core/units/format';
import type { UnitSystem } from '@/core/units/length';

/**
 * What a game is in a line: how it is scored, how long, how many balls, the goal.
 * @param timed whether the time is said; not where it stands beside it
 */
export function sayGame(spec: GameSpec, units: UnitSystem, timed = true): string {
  const scheme = schemeOf(spec.scoring);
  const most = scheme.most ? 'at most ' : '';
  return [
    scheme.label,
    scheme.players > 1 && 'two or more players',
    spec.open
      ? 'stations called live'
      : `${counted(spec.stations.length, 'station')} · ${most}${counted(ballsOf(spec), 'ball')}${timed ? ` · ${sayMinutes(budgetOf(spec).totalS)}` : ''}`,
    sayGoal(spec, units),
  ]
    .filter(Boolean)
    .join(' · ');
}
