import type { AnswerKey } from '@/core/game/scoring/answer-keys';
import { counted } from '@/core/units/format';
import styles from './play.module.scss';

type KeysProps = { keys: AnswerKey[]; name: (key: AnswerKey) => string; unit: string; onPress: (key: AnswerKey) => void };

/** The keys that end a ball: lowest on the screen, where the thumb is. */
export function AnswerKeys({ keys, name, unit, onPress }: KeysProps) {
  const columns =
    keys.length === 4 && keys.every((key) => key.kind === 'word') ? 2 : keys.length <= 5 ? keys.length : Math.ceil(keys.length / 2);
  const worthOf = (key: AnswerKey) => (unit === 'points' ? key.worth : null);
  return (
    <div
      className={`${styles.keys} ${columns < keys.length ? styles.twoRows : ''}`}
      style={{ gridTemplateColumns: `repeat(${columns}, 1fr)` }}
    >
      {keys.map((key) => {
        const worth = worthOf(key);
        return (
          <button
            key={key.key}
            type="button"
            className={key.kind === 'holed' ? styles.holed : undefined}
            onClick={() => onPress(key)}
            {...(worth === null ? {} : { 'aria-label': `${name(key)}, ${counted(worth, 'point')}` })}
          >
            {name(key)}
            {worth !== null && <small>{worth}</small>}
          </button>
        );
      })}
    </div>
  );
}
