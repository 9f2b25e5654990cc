import type { ReactNode } from 'react';
import styles from './list-table.module.scss';

type FiltersProps = { find: string; text: string; onText: (text: string) => void; children?: ReactNode };

/** What narrows a list. */
export function Filters({ children }: { children: ReactNode }) {
  return (
    <div className={styles.filters} role="group" aria-label="Filter">
      {children}
    </div>
  );
}

/** What narrows a list that is also looked through by words. */
export function ListFilters({ find, text, onText, children }: FiltersProps) {
  return (
    <Filters>
      {children}
      <input
        type="search"
        className="form-control form-control-sm"
        aria-label={find}
        placeholder={find}
        value={text}
        onChange={(event) => onText(event.target.value)}
      />
    </Filters>
  );
}

type ToggleProps = { pressed: boolean; onPress: () => void; children: ReactNode };

/** A filter that is on or off. */
export function FilterToggle({ pressed, onPress, children }: ToggleProps) {
  return (
    <button type="button" className="btn btn-sm btn-outline-dark" aria-pressed={pressed} onClick={onPress}>
      {children}
    </button>
  );
}

type ChoiceProps<Value extends string> = {
  label: string;
  value: Value;
  options: readonly (readonly [value: Value, text: string])[];
  onChoose: (value: Value) => void;
};

/** A filter of which one choice holds. */
export function FilterChoice<Value extends string>({ label, value, options, onChoose }: ChoiceProps<Value>) {
  return (
    <select
      className="form-select form-select-sm"
      aria-label={label}
      value={value}
      onChange={(event) => onChoose(event.target.value as Value)}
    >
      {options.map(([one, text]) => (
        <option key={one} value={one}>
          {text}
        </option>
      ))}
    </select>
  );
}

type DateProps = { label: string; value: string | undefined; onChoose: (day: string | undefined) => void };

/** A filter by a day; undefined: any. */
export function FilterDate({ label, value, onChoose }: DateProps) {
  return (
    <label className={styles.date}>
      {label}
      <input
        type="date"
        className="form-control form-control-sm"
        value={value ?? ''}
        onChange={({ target }) => onChoose(target.value || undefined)}
      />
    </label>
  );
}

/** What was found, dimmed while it is looked for anew. */
export function Found({ pending, children }: { pending: boolean; children: ReactNode }) {
  return (
    <div aria-busy={pending} className={pending ? styles.pending : undefined}>
      {children}
    </div>
  );
}

type NoMatchProps = { what: string; all: string; onAll: () => void };

/** Stands in the place of a list that is filtered to nothing: "No game like that. Show all 8 games". */
export function NoMatch({ what, all, onAll }: NoMatchProps) {
  return (
    <p className="empty" role="status">
      No {what} like that.{' '}
      <button type="button" className="btn btn-link p-0 align-baseline" onClick={onAll}>
        Show all {all}
      </button>
    </p>
  );
}
