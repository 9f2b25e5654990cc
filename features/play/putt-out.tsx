'use client';

import { sayStation } from '@/core/game/words/say-station';
import type { Standing } from '@/core/play/play';
import { strokesQuestion } from '@/core/play/questions';
import { sayResult } from '@/core/shot/say-shot';
import type { UnitSystem } from '@/core/units/length';
import styles from './play.module.scss';
import { QuestionPanel } from './question-panel';
import { amendBall, type Sitting } from './record';
import { ScoreLine } from './score-line';
import { UndoButton } from './undo-button';

type Props = { sitting: Sitting; standing: Standing; system: UnitSystem; said: React.ReactNode; onUndo: () => void };

/** All balls are hit: now they are putted out, one after another. */
export function PuttOut({ sitting, standing, system, said, onUndo }: Props) {
  const { toPuttOut, phase } = standing;
  const ball = toPuttOut[0]!;
  const station = phase.stations.find(({ key }) => key === ball.stationKey)!;
  const left = toPuttOut.length;
  return (
    <main className={styles.ball}>
      <div className={styles.station} aria-live="polite">
        <h1>Now putt them out</h1>
        <p>
          <strong className={styles.asked}>
            Ball {ball.ballNo}, {sayResult(ball, system)}
          </strong>{' '}
          · {sayStation(station, system)}
        </p>
        <span className={`${styles.count} fig`}>
          {left}
          <small>to go</small>
        </span>
      </div>
      {said}
      <ScoreLine standing={standing} system={system} />
      <QuestionPanel
        key={ball.shotId}
        question={strokesQuestion}
        onAnswer={({ result }) => void amendBall(sitting, ball.shotId, { strokes: result.strokes ?? null })}
        onBack={null}
      />
      <div className={styles.two}>
        <UndoButton disabled={false} onUndo={onUndo} />
      </div>
    </main>
  );
}
