import { NOTHING_PLANNED } from '../game/calls';
import { PLAIN_RULES } from '../game/rules';
import { schemeOf } from '../game/scoring';
import { notScored } from '../game/scoring/made';
import { isPhrase, UNIT_PHRASES, UNIT_WORDS } from '../game/scoring/score-unit';
import { GAME_VERSION, type GameSpec } from '../game/spec';
import { METRES_PER, snap } from '../units/length';
import { usualUnit } from './mapping';

/** What stands in the place of a game where balls or results came in without one of ours: only its name is known. */
export const withoutGame = (title: string): GameSpec => ({
  format: 'inch-game',
  version: GAME_VERSION,
  title: title.slice(0, 80),
  about: '',
  open: true,
  calls: NOTHING_PLANNED,
  stations: [],
  order: 'blocked',
  sizes: { unit: 'ft', of: 'fixed', fixedM: null, scaled: false },
  scoring: notScored(),
  rules: PLAIN_RULES,
  leadIn: [],
  goal: null,
});

/**
 * A score that was noted by hand as the game counts it.
 * @param unit as somebody wrote it; empty: they wrote none
 * @returns in metres where the game adds up lengths; null where the game counts something else
 */
export function asCounted(spec: GameSpec, score: number, unit: string): number | null {
  const counts = schemeOf(spec.scoring).unit(spec.scoring);
  const written = unit.trim().toLowerCase();
  if (counts === 'length') {
    const length = usualUnit(written);
    return length === 'ft' || length === 'yd' || length === 'm' || length === 'in' ? snap(score * METRES_PER[length]) : null;
  }
  const words: readonly string[] = isPhrase(counts) ? [UNIT_PHRASES[counts]] : UNIT_WORDS[counts];
  return written === '' || written === counts || words.includes(written) ? score : null;
}
