import { sayScore } from '@/core/game/words/say-score';
import { schemeOf } from '@/core/game/scoring';
import type { UnitSystem } from '@/core/units/length';
import type { Answer } from '@/server/data';
import { sayGiven } from '../session/result-line';
import styles from './logbook.module.scss';

type Props = {
  session: NonNullable<Answer<'getSession'>>['session'];
  score: number | null;
  met: boolean | null;
  system: UnitSystem;
};

/** A result that was noted by hand: its score, and no more. */
export function GivenScore({ session: { spec, gameId, given }, score, met, system }: Props) {
  if (score === null || given === null) return null;
  const { scoring, goal } = spec;
  const unit = schemeOf(scoring).unit(scoring);
  return (
    <div className={styles.given}>
      <output className="fig" aria-label="Score">
        {gameId === null ? sayGiven(score, given) : sayScore(score, unit, system)}
      </output>
      <p>
        {met !== null && goal !== null && (
          <>
            goal {sayScore(goal, unit, system)}: <b>{met ? 'reached' : 'missed'}</b>
            <br />
          </>
        )}
        Entered by hand, without the balls, so it says nothing about single shots.
      </p>
    </div>
  );
}
