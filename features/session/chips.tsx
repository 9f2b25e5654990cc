import { say } from '@/core/golf/words';
import styles from './session.module.scss';

type Props<T extends string> = {
  label: string;
  options: readonly T[];
  value: T | null;
  onChange: (value: T) => void;
  /** Where nothing has to be chosen: pressing the chosen one again takes it back. */
  onClear?: () => void;
  /** What stands on a chip. */
  name?: (option: T) => string;
  /** Whether the label stands before the chips. */
  titled?: boolean;
};

/** One of a few words, by a press. */
export function Chips<T extends string>({ label, options, value, onChange, onClear, name = say, titled = false }: Props<T>) {
  return (
    <div role="radiogroup" aria-label={label} className={styles.chips}>
      {titled && (
        <span className={styles.chipsTitle} aria-hidden>
          {label}
        </span>
      )}
      {options.map((option) => (
        <button
          key={option}
          type="button"
          role="radio"
          aria-checked={option === value}
          onClick={() => (option === value && onClear ? onClear() : onChange(option))}
        >
          {name(option)}
        </button>
      ))}
    </div>
  );
}
