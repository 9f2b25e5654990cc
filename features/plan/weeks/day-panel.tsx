'use client';

import Link from 'next/link';
import { Button, Form } from 'react-bootstrap';
import { LONGEST, SHORTEST } from '@/core/hour/hour';
import { sayPlainDay } from '@/core/units/plain-day';
import { SAY_AIM } from '@/core/weeks/say-aim';
import { AIMS, type Aim, type PlannedDay } from '@/core/weeks/weeks';
import { hourAddress } from '@/core/exchange/play-address';
import type { DayDone } from './calendar';
import { ABOUT_AIM } from './say';
import styles from './weeks.module.scss';

type Props = {
  slug: string;
  one: PlannedDay;
  done: DayDone | undefined;
  /** Whether its hour is there already. */
  made: boolean;
  /** Whether its four weeks go on, or come next. */
  soon: boolean;
  onChange: (change: Partial<Omit<PlannedDay, 'hourId'>>) => void;
  onRemove: () => void;
  onClose: () => void;
};

/** A day of planned weeks: what it is for, when, how long; and its hour. */
export function DayPanel({ slug, one, done, made, soon, onChange, onRemove, onClose }: Props) {
  const { hourId, day, at, minutes, aim } = one;
  const fixed = done !== undefined;
  return (
    <section className={`${styles.panel} no-print`} aria-label={`${SAY_AIM[aim]}, ${sayPlainDay(day)}`}>
      <button type="button" className={styles.close} aria-label="Close" onClick={onClose}>
        ×
      </button>
      <h2>{sayPlainDay(day)}</h2>
      <p className="small-print">{ABOUT_AIM[aim]}</p>
      <div className={styles.fields}>
        <Form.Select
          aria-label="What it is for"
          value={aim}
          disabled={fixed}
          onChange={({ target }) => onChange({ aim: target.value as Aim })}
        >
          {AIMS.map((one) => (
            <option key={one} value={one}>
              {SAY_AIM[one]}
            </option>
          ))}
        </Form.Select>
        <Form.Control
          key={`${hourId} ${day}`}
          type="date"
          aria-label="Date"
          defaultValue={day}
          disabled={fixed}
          onChange={({ target }) => target.value >= '1900' && target.value < '2200' && onChange({ day: target.value })}
        />
        <Form.Control
          type="time"
          aria-label="Time"
          value={at ?? ''}
          disabled={fixed}
          onChange={({ target }) => onChange({ at: target.value.slice(0, 5) || null })}
        />
        <span className={styles.minutes}>
          <Form.Control
            key={`${hourId} ${minutes}`}
            type="number"
            aria-label="Minutes"
            min={SHORTEST}
            max={LONGEST}
            defaultValue={minutes}
            disabled={fixed || made}
            onBlur={({ target }) => setMinutes(Number(target.value))}
            onKeyDown={(event) => event.key === 'Enter' && setMinutes(Number(event.currentTarget.value))}
          />
          min
        </span>
      </div>
      <div className={styles.keys}>
        {made ? (
          <>
            <Link href={`/a/${slug}/plan/hour/${hourId}`} className="btn btn-outline-dark">
              {fixed ? 'See the hour' : 'Change the hour'}
            </Link>
            {!fixed && (
              <a href={hourAddress(slug, hourId)} className="btn btn-primary">
                Start the clock
              </a>
            )}
          </>
        ) : (
          <span className="small-print">
            {soon ? 'Its parts are chosen once this is saved.' : 'Its parts are chosen when its four weeks begin.'}
          </span>
        )}
        {!fixed && (
          <Button variant="outline-dark" onClick={onRemove}>
            Remove
          </Button>
        )}
      </div>
    </section>
  );

  function setMinutes(value: number) {
    if (Number.isInteger(value) && value >= SHORTEST && value <= LONGEST && value !== minutes) onChange({ minutes: value });
  }
}
