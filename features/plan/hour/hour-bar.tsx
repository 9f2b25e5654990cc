'use client';

import { Button, Form } from 'react-bootstrap';
import { MOST_PLAYERS } from '@/core/exchange/session-start';
import { LONGEST, PART_KINDS, SHORTEST, type Hour, type PartKind } from '@/core/hour/hour';
import { SAY_KIND } from '../../session/say-part';
import styles from './hour.module.scss';

type Named = { id: string; name: string };
type Props = {
  hour: Hour;
  /** For whom it is, by their ids. */
  who: readonly string[];
  players: readonly Named[];
  greens: readonly Named[];
  onPeople: (who: readonly string[]) => void;
  onMinutes: (minutes: number) => void;
  onGreen: (greenId: string | null) => void;
  onDay: (day: string | null) => void;
  onPart: (kind: PartKind) => void;
};

/** Kinds of parts that can be added: there is one game, and its test. */
const ADDABLE = PART_KINDS.filter((kind) => kind !== 'game' && kind !== 'test');
const MOST_PARTS = 12;

/** For whom an hour is, how long, where and when; and one part more. */
export function HourBar({ hour, who, players, greens, onPeople, onMinutes, onGreen, onDay, onPart }: Props) {
  const chosen = who.flatMap((id) => players.find((player) => player.id === id) ?? []);
  const others = players.filter(({ id }) => !who.includes(id));
  return (
    <div className={`${styles.order} no-print`} role="group" aria-label="The hour">
      {chosen.map(({ id, name }) => (
        <Button key={id} variant="outline-dark" disabled={chosen.length === 1} onClick={() => onPeople(who.filter((one) => one !== id))}>
          {name}
          {chosen.length > 1 && (
            <>
              {' '}
              <span aria-hidden="true">×</span>
              <span className="visually-hidden">: leave out</span>
            </>
          )}
        </Button>
      ))}
      {others.length > 0 && who.length < MOST_PLAYERS && (
        <Form.Select
          aria-label="Another player"
          value=""
          onChange={({ target: { value } }) =>
            onPeople(value === 'all' ? players.slice(0, MOST_PLAYERS).map(({ id }) => id) : [...who, value])
          }
        >
          <option value="">+ player</option>
          {others.length > 1 && <option value="all">everybody</option>}
          {others.map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </Form.Select>
      )}
      <Form.Control
        key={hour.minutes}
        type="number"
        aria-label="Minutes in all"
        className={styles.inAll}
        min={SHORTEST}
        max={LONGEST}
        defaultValue={hour.minutes}
        onBlur={(event) => onMinutes(Number(event.target.value))}
        onKeyDown={(event) => event.key === 'Enter' && onMinutes(Number(event.currentTarget.value))}
      />
      <span>minutes on</span>
      <Form.Select aria-label="Green" value={hour.greenId ?? ''} onChange={(event) => onGreen(event.target.value || null)}>
        <option value="">any green</option>
        {greens.map(({ id, name }) => (
          <option key={id} value={id}>
            {name}
          </option>
        ))}
      </Form.Select>
      <Form.Control
        type="date"
        aria-label="Day"
        className={styles.day}
        value={hour.day ?? ''}
        onChange={(event) => onDay(event.target.value || null)}
      />
      <Form.Select
        aria-label="Add a part"
        value=""
        disabled={hour.parts.length >= Math.min(MOST_PARTS, hour.minutes)}
        onChange={(event) => onPart(event.target.value as PartKind)}
      >
        <option value="">+ part</option>
        {ADDABLE.map((kind) => (
          <option key={kind} value={kind}>
            {SAY_KIND[kind]}
          </option>
        ))}
      </Form.Select>
    </div>
  );
}
