import { formatTotal } from '../../units/format';
import type { UnitSystem } from '../../units/length';
import { isPhrase, UNIT_PHRASES, UNIT_WORDS, type ScoreUnit } from '../scoring/score-unit';

/** A score as a figure alone: "17", "23 ft 4", "−1.5". */
export function scoreFigure(score: number, unit: ScoreUnit, system: UnitSystem): string {
  if (unit === 'length' && score === 0) return system === 'metric' ? '0 m' : '0 ft';
  if (unit === 'length') return `${score < 0 ? '−' : ''}${formatTotal(Math.abs(score), system)}`;
  return `${score < 0 ? '−' : ''}${Number(Math.abs(score).toFixed(1))}`;
}

/** A score with what it counts: "17 points", "1 hit", "23 ft 4", "6 in par or better". */
export function sayScore(score: number, unit: ScoreUnit, system: UnitSystem): string {
  const figure = scoreFigure(score, unit, system);
  if (unit === 'length') return figure;
  if (isPhrase(unit)) return `${figure} ${UNIT_PHRASES[unit]}`;
  return `${figure} ${UNIT_WORDS[unit][Math.abs(score) === 1 ? 0 : 1]}`;
}

/** What a score counts, in the plural: "points", "ft in all". */
export function sayUnit(unit: ScoreUnit, system: UnitSystem): string {
  if (unit === 'length') return system === 'metric' ? 'metres in all' : 'feet in all';
  return isPhrase(unit) ? UNIT_PHRASES[unit] : UNIT_WORDS[unit][1];
}
