'use client';

import type { Result } from '@/core/game/scoring/ball';
import { sayBearing } from '@/core/shot/direction';
import { formatLeft } from '@/core/units/format';
import { METRES_PER, type UnitSystem } from '@/core/units/length';
import type { FromHole } from '@/ui/target';
import { useKeys } from '@/ui/use-keys';
import { tappedResult } from './entry';
import { FinishKeys } from './finish-keys';
import styles from './play.module.scss';

type Props = {
  place: FromHole;
  reachM: number;
  system: UnitSystem;
  verdict: (result: Result) => string;
  onMove: (place: FromHole) => void;
  onRecord: (result: Result) => void;
  onCancel: () => void;
};

const STEP_M = { imperial: 3 * METRES_PER.in, metric: 0.1 } as const;
const NUDGES = [
  ['ArrowLeft', '←', 'left', -1, 0],
  ['ArrowUp', '↑', 'longer', 0, 1],
  ['ArrowDown', '↓', 'shorter', 0, -1],
  ['ArrowRight', '→', 'right', 1, 0],
] as const;

/** A ball tapped on the target: what that says, big, and small steps to put it right, since a fingertip hides feet. */
export function PlacePanel({ place, reachM, system, verdict, onMove, onRecord, onCancel }: Props) {
  const result = tappedResult(place);
  const step = STEP_M[system];
  const limit = (value: number) => Math.max(-reachM, Math.min(reachM, value));
  const nudge = (right: number, beyond: number) =>
    onMove({ right: limit(place.right + right * step), beyond: limit(place.beyond + beyond * step) });

  useKeys((event) => {
    const by = NUDGES.find(([key]) => key === event.key);
    if (by) {
      event.preventDefault();
      nudge(by[3], by[4]);
    } else if (event.key === 'Escape') onCancel();
  });

  return (
    <div className={styles.panel}>
      <p className={styles.readout} aria-live="polite">
        <b className="fig">{formatLeft(result.leftM!, system)}</b>
        <span>{[sayBearing(result.bearingDeg!), verdict(result), 'by eye'].filter(Boolean).join(' · ')}</span>
      </p>
      <div className={styles.nudges}>
        {NUDGES.map(([key, sign, word, right, beyond]) => (
          <button
            key={key}
            type="button"
            className="btn btn-outline-dark"
            aria-label={`A little ${word}`}
            onClick={() => nudge(right, beyond)}
          >
            {sign}
          </button>
        ))}
      </div>
      <FinishKeys record={formatLeft(result.leftM!, system)} onRecord={() => onRecord(result)} onCancel={onCancel} />
    </div>
  );
}
