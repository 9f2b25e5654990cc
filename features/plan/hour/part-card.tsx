'use client';

import Link from 'next/link';
import { useId } from 'react';
import { Button, Form } from 'react-bootstrap';
import { sayMinutes } from '@/core/game/budget';
import type { Part } from '@/core/hour/hour';
import type { UnitSystem } from '@/core/units/length';
import styles from './hour.module.scss';
import { SAY_KIND, sayWhat } from '../../session/say-part';

type Choice = { gameId: string; title: string };
type Props = {
  part: Part;
  units: UnitSystem;
  /** Games that can be put here instead. */
  games: readonly Choice[];
  /** What is wrong with its fields, by their names. */
  faults: Readonly<Record<string, string>>;
  /** Seconds that its game takes; null where there is none. */
  takesS: number | null;
  /** Where the landing spot of its first ball is worked out; null where nothing is landed. */
  landing: string | null;
  busy: boolean;
  onMinutes: (minutes: number) => void;
  onChange: (change: Partial<Part>) => void;
  onAnother: () => void;
  onGame: (gameId: string) => void;
  onRemove: (() => void) | null;
};

/** A part of an hour: how long, what is done, and why; everything in it can be changed, kept, or thrown again. */
export function PartCard({ part, units, games, faults, takesS, landing, busy, onMinutes, onChange, onAnother, onGame, onRemove }: Props) {
  const id = useId();
  const { kind, minutes, title, why, cue, sets, setOf, pinned, game } = part;
  const unfilled = kind === 'other' || kind === 'technique';
  const number = (value: number | null, name: 'sets' | 'setOf', label: string) => (
    <Form.Control
      type="number"
      min={1}
      max={60}
      aria-label={label}
      value={value ?? ''}
      isInvalid={faults[name] !== undefined}
      onChange={(event) => onChange({ [name]: event.target.value === '' ? null : Number(event.target.value) })}
    />
  );
  return (
    <article
      className={kind === 'game' ? `${styles.part} ${styles.last}` : styles.part}
      aria-label={`${SAY_KIND[kind]}: ${title}`}
      aria-busy={busy}
    >
      <p className={styles.kind}>{SAY_KIND[kind]}</p>
      <p className={styles.minutes}>
        <Form.Control
          key={minutes}
          type="number"
          min={1}
          aria-label={`Minutes of ${title}`}
          defaultValue={minutes}
          onBlur={(event) => onMinutes(Number(event.target.value))}
          onKeyDown={(event) => {
            if (event.key !== 'Enter') return;
            event.preventDefault();
            onMinutes(Number(event.currentTarget.value));
          }}
        />
        <span>min</span>
      </p>
      {unfilled ? (
        <Form.Group controlId={`${id}-title`}>
          <Form.Control
            as="textarea"
            rows={2}
            maxLength={80}
            aria-label={kind === 'other' ? 'What is done' : 'Which shot'}
            placeholder={kind === 'other' ? 'Stretch, range, rules …' : ''}
            value={title}
            isInvalid={faults.title !== undefined}
            onChange={(event) => onChange({ title: event.target.value.replaceAll('\n', ' ') })}
          />
          <Form.Control.Feedback type="invalid">{faults.title}</Form.Control.Feedback>
        </Form.Group>
      ) : (
        <p className={styles.title}>{title}</p>
      )}
      {kind === 'technique' && (
        <>
          <p className={styles.sets}>
            {number(sets, 'sets', 'Sets')} sets of {number(setOf, 'setOf', 'Balls in a set')}
          </p>
          <Form.Control
            maxLength={80}
            aria-label="Swing thought"
            placeholder="Swing thought: brush the grass"
            value={cue}
            onChange={(event) => onChange({ cue: event.target.value })}
          />
        </>
      )}
      {game && <p className={styles.what}>{sayWhat(part, units)}</p>}
      {takesS !== null && takesS > 60 * (minutes + 1) && (
        <p role="status">
          <b>Takes {sayMinutes(takesS)}.</b> Give it more time, or take another.
        </p>
      )}
      {why && <p className={styles.why}>{why}</p>}
      {landing && (
        <p className="mb-1 no-print">
          <Link href={landing} target="_blank">
            Where to land it
          </Link>
        </p>
      )}
      <div className={`${styles.tools} no-print`}>
        {kind !== 'other' && (
          <>
            <Form.Check
              type="checkbox"
              id={`${id}-keep`}
              label="Keep"
              checked={pinned}
              onChange={(event) => onChange({ pinned: event.target.checked })}
            />
            <Button size="sm" variant="outline-dark" disabled={busy} onClick={onAnother} aria-label={`Another for ${SAY_KIND[kind]}`}>
              Another
            </Button>
          </>
        )}
        {onRemove && (
          <Button size="sm" variant="outline-dark" onClick={onRemove} aria-label={`Leave out ${SAY_KIND[kind]}`}>
            Leave out
          </Button>
        )}
        {!unfilled && kind !== 'test' && (
          <Form.Select
            size="sm"
            aria-label={`Choose a game for ${SAY_KIND[kind]}`}
            value=""
            onChange={(event) => onGame(event.target.value)}
          >
            <option value="">Choose …</option>
            {games.map(({ gameId, title: name }) => (
              <option key={gameId} value={gameId}>
                {name}
              </option>
            ))}
          </Form.Select>
        )}
      </div>
    </article>
  );
}
