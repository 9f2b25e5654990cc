import { certaintyOf } from '@/core/board/certainty';
import { schemeOf } from '@/core/game/scoring';
import { scoreFigure } from '@/core/game/words/say-score';
import { differenceOf } from '@/core/hour/difference';
import type { Hour } from '@/core/hour/hour';
import type { Run } from '@/core/hour/run-schema';
import type { UnitSystem } from '@/core/units/length';
import type { Result } from './results';
import styles from './hour.module.scss';

type Props = { hour: Hour; run: Run; results: ReadonlyMap<string, Result>; units: UnitSystem };

/** The same game before and after: the difference, and how much of it luck explains. */
export function TestAgain({ hour, run, results, units }: Props) {
  const of = (kind: 'test' | 'game') => {
    const part = hour.parts.find((one) => one.kind === kind);
    return part && results.get(run.parts.find(({ key }) => key === part.key)?.sessionId ?? '');
  };
  const [first, second] = [of('test'), of('game')];
  if (!first?.over || !second?.over) return null;
  const { scoring } = first.spec;
  const luck = hour.parts.find(({ kind }) => kind === 'test')?.luck ?? null;
  const { better, chance } = differenceOf(first.score, second.score, { higher: schemeOf(scoring).better(scoring) === 'higher', luck });
  const figure = scoreFigure(Math.abs(better), schemeOf(scoring).unit(scoring), units);
  return (
    <p className={styles.result}>
      {first.said}, then {second.said}: {better === 0 ? 'the same' : `${figure} ${better > 0 ? 'better' : 'worse'}`}.{' '}
      {chance !== null && better !== 0 && sayLuck(better > 0 ? chance : 1 - chance, better > 0)}
    </p>
  );
}

/** How sure a difference is beyond luck. */
function sayLuck(chance: number, better: boolean): string {
  const certainty = certaintyOf(chance);
  if (certainty === 'too close to call') return 'That could be luck.';
  return `${certainty === 'sure' ? 'Surely' : 'Likely'} ${better ? 'better' : 'worse'} than before (${Math.round(100 * chance)}%).`;
}
