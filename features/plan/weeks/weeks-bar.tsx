'use client';

import { Form } from 'react-bootstrap';
import { LONGEST, SHORTEST } from '@/core/hour/hour';
import type { PracticeDay, Weeks } from '@/core/weeks/weeks';
import { GreenChoice } from '../../form/green-choice';
import { useReady } from '../../form/use-ready';
import { WhoChoice, type Named } from '../who-choice';
import { WEEKDAYS } from './say';
import styles from './weeks.module.scss';

type Props = {
  weeks: Weeks;
  who: readonly string[];
  players: readonly Named[];
  greens: readonly Named[];
  /** What is wrong, by the paths of the document. */
  wrong: Readonly<Record<string, string>>;
  onPeople: (who: readonly string[]) => void;
  onFrame: (change: Partial<Pick<Weeks, 'from' | 'until' | 'event' | 'rhythm'>>) => void;
  onGreen: (greenId: string | null) => void;
};

/** A new day of the week is as long as this. */
const USUAL_MINUTES = 50;

/** For whom, from when to when, what it leads up to, and on which days of the week for how long. */
export function WeeksBar({ weeks, who, players, greens, wrong, onPeople, onFrame, onGreen }: Props) {
  const { from, until, event, rhythm, greenId } = weeks;
  const ready = useReady();
  return (
    <fieldset className="no-print" disabled={!ready}>
      <div className={styles.bar} role="group" aria-label="The weeks">
        <WhoChoice players={players} who={who} onChange={onPeople} />
        <DayField label="from" value={from} onChange={(day) => onFrame({ from: day })} />
        {event === null && <DayField label="to" value={until} wrong={wrong.until} onChange={(day) => onFrame({ until: day })} />}
        {event === null ? (
          <button type="button" className="btn btn-outline-dark" onClick={() => onFrame({ event: { name: 'Event', day: until } })}>
            + event
          </button>
        ) : (
          <>
            <DayField
              label="up to"
              value={event.day}
              wrong={wrong['event.day']}
              onChange={(day) => onFrame({ event: { ...event, day } })}
            />
            <Form.Control
              aria-label="Name of the event"
              maxLength={60}
              value={event.name}
              isInvalid={wrong['event.name'] !== undefined}
              onChange={({ target }) => onFrame({ event: { ...event, name: target.value } })}
            />
            <button type="button" className="btn btn-outline-dark" aria-label="No event" onClick={() => onFrame({ event: null })}>
              ×
            </button>
          </>
        )}
        <GreenChoice label="Green" greens={greens} greenId={greenId} onChange={onGreen} />
      </div>
      <fieldset className={styles.rhythm}>
        <legend>Practice days</legend>
        {WEEKDAYS.map(([short, long], i) => (
          <Weekday
            key={long}
            {...{ short, long }}
            day={rhythm.find(({ weekday }) => weekday === i + 1)}
            onChange={(day) =>
              onFrame({
                rhythm: [...rhythm.filter(({ weekday }) => weekday !== i + 1), ...(day ? [{ ...day, weekday: i + 1 }] : [])].toSorted(
                  (a, b) => a.weekday - b.weekday,
                ),
              })
            }
          />
        ))}
      </fieldset>
      {wrong.rhythm && (
        <p role="alert" className="text-danger fw-semibold mb-2">
          {wrong.rhythm}
        </p>
      )}
    </fieldset>
  );
}

type DayProps = { label: string; value: string; wrong?: string | undefined; onChange: (day: string) => void };

/** A date; while it is half typed, the old one stays. */
function DayField({ label, value, wrong, onChange }: DayProps) {
  return (
    <label className={styles.dayField}>
      <span>{label}</span>
      <span>
        <Form.Control
          key={value}
          type="date"
          defaultValue={value}
          isInvalid={wrong !== undefined}
          onChange={({ target }) => target.value >= '1900' && target.value < '2200' && onChange(target.value)}
        />
        {wrong && <span className="invalid-feedback d-block">{wrong}</span>}
      </span>
    </label>
  );
}

type WeekdayProps = {
  short: string;
  long: string;
  day: PracticeDay | undefined;
  onChange: (day: Omit<PracticeDay, 'weekday'> | null) => void;
};

function Weekday({ short, long, day, onChange }: WeekdayProps) {
  return (
    <div className={day ? `${styles.weekday} ${styles.chosen}` : styles.weekday}>
      <button
        type="button"
        aria-pressed={day !== undefined}
        aria-label={long}
        onClick={() => onChange(day ? null : { at: null, minutes: USUAL_MINUTES })}
      >
        {short}
      </button>
      {day && (
        <>
          <Form.Control
            type="time"
            aria-label={`${long}, at`}
            value={day.at ?? ''}
            onChange={({ target }) => onChange({ ...day, at: target.value.slice(0, 5) || null })}
          />
          <span className={styles.minutes}>
            <Form.Control
              key={day.minutes}
              type="number"
              aria-label={`${long}, minutes`}
              min={SHORTEST}
              max={LONGEST}
              defaultValue={day.minutes}
              onBlur={({ target }) => set(Number(target.value))}
              onKeyDown={(event) => event.key === 'Enter' && set(Number(event.currentTarget.value))}
            />
            min
          </span>
        </>
      )}
    </div>
  );

  function set(minutes: number) {
    if (day && Number.isInteger(minutes) && minutes >= SHORTEST && minutes <= LONGEST && minutes !== day.minutes)
      onChange({ ...day, minutes });
  }
}
