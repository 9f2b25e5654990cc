import type { AnswerKey } from '@/core/game/scoring/answer-keys';
import styles from './play.module.scss';

type KeysProps = { keys: AnswerKey[]; name: (key: AnswerKey) => string; unit: string; onPress: (key: AnswerKey) => void };

/** The keys that end a ball: lowest on the screen, where the thumb is. */
export function AnswerKeys({ keys, name, unit, onPress }: KeysProps) {
  const columns =
    keys.length === 4 && keys.every((key) => key.kind === 'word') ? 2 : keys.length <= 5 ? keys.length : Math.ceil(keys.length / 2);
  const points = (key: AnswerKey) => key.worth !== null && unit === 'points';
  return (
    <div className={styles.keys} style={{ gridTemplateColumns: `repeat(${columns}, 1fr)` }}>
      {keys.map((key) => (
        <button
          key={key.key}
          type="button"
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
