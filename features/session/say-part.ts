import { ballsOf } from '@/core/game/phases';
import { schemeOf } from '@/core/game/scoring';
import { sayGoal } from '@/core/game/words/goal-words';
import type { Part, PartKind } from '@/core/hour/hour';
import { counted } from '@/core/units/format';
import type { UnitSystem } from '@/core/units/length';

/** What a kind of part is called. */
export const SAY_KIND: Readonly<Record<PartKind, string>> = {
  technique: 'Technique',
  test: 'Test',
  landing: 'Landing spot',
  lies: 'Varied lies',
  putting: 'Putting',
  other: 'Something else',
  game: 'The game',
};

/** What is hit in a part: "3 sets of 6 balls", "18 balls from 6 places · goal 26 points"; empty for anything else. */
export function sayWhat({ sets, setOf, game }: Pick<Part, 'sets' | 'setOf' | 'game'>, units: UnitSystem): string {
  if (game) {
    const { spec } = game;
    const balls = `${schemeOf(spec.scoring).most ? 'at most ' : ''}${counted(ballsOf(spec), 'ball')}`;
    return [`${balls} from ${counted(spec.stations.length, 'place')}`, sayGoal(spec, units)].filter(Boolean).join(' · ');
  }
  return sets !== null && setOf !== null ? `${counted(sets, 'set')} of ${counted(setOf, 'ball')}` : '';
}
