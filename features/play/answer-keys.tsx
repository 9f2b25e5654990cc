import type { AnswerKey } from '@/core/game/scoring/answer-keys';
import { FINISHES } from '@/core/golf/words';
import type { Shot } from '@/core/shot/shot';
import styles from './play.module.scss';

/** Where a ball finished that did not stay on the green; pressed before the key that ends the ball. */
export function FinishMarks({ value, onChange }: { value: Shot['finish']; onChange: (finish: Shot['finish']) => void }) {
  return (
    <div className={styles.marks} role="group" aria-label="Off the green">
      <span>off the green:</span>
      {FINISHES.filter((finish) => finish !== 'green').map((finish) => (
        <button key={finish} type="button" aria-pressed={value === finish} onClick={() => onChange(value === finish ? null : finish)}>
          {finish}
        </button>
      ))}
    </div>
  );
}

type KeysProps = { keys: AnswerKey[]; name: (key: AnswerKey) => string; unit: string; busy: boolean; onPress: (key: AnswerKey) => void };

/** The keys that end a ball: lowest on the screen, where the thumb is. */
export function AnswerKeys({ keys, name, unit, busy, onPress }: KeysProps) {
  const columns =
    keys.length === 4 && keys.every((key) => key.kind === 'word') ? 2 : keys.length <= 5 ? keys.length : Math.ceil(keys.length / 2);
  const points = (key: AnswerKey) => key.worth !== null && unit === 'points';
  return (
    <div className={styles.keys} style={{ gridTemplateColumns: `repeat(${columns}, 1fr)` }}>
      {keys.map((key) => (
        <button
          key={key.key}
          type="button"
          disabled={busy}
          className={key.kind === 'holed' ? styles.holed : undefined}
          onClick={() => onPress(key)}
          {...(points(key) ? { 'aria-label': `${name(key)}, ${key.worth} points` } : {})}
        >
          {name(key)}
          {points(key) && <small>{key.worth}</small>}
        </button>
      ))}
    </div>
  );
}
