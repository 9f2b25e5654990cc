'use client';

import Link from 'next/link';
import { Form } from 'react-bootstrap';
import { LONGEST, MOST_PARTS, PART_KINDS, SHORTEST, type Hour, type PartKind } from '@/core/hour/hour';
import { sayPlainDay } from '@/core/units/plain-day';
import { SAY_KIND } from '../../session/say-part';
import { GreenChoice } from '../../form/green-choice';
import { WhoChoice, type Named } from '../who-choice';
import styles from './hour.module.scss';

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
  /** Where its day is planned, if not here. */
  weeksAt: string | null;
};

/** Kinds of parts that can be added: there is one game, and its test. */
const ADDABLE = PART_KINDS.filter((kind) => kind !== 'game' && kind !== 'test');

/** For whom an hour is, how long, where and when; and one part more. */
export function HourBar({ hour, who, players, greens, onPeople, onMinutes, onGreen, onDay, onPart, weeksAt }: Props) {
  return (
    <div className={`${styles.order} no-print`} role="group" aria-label="The hour">
      <WhoChoice players={players} who={who} onChange={onPeople} />
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
      <GreenChoice label="Green" greens={greens} greenId={hour.greenId} onChange={onGreen} />
      {weeksAt === null ? (
        <Form.Control
          type="date"
          aria-label="Day"
          className={styles.day}
          value={hour.day ?? ''}
          onChange={(event) => onDay(event.target.value || null)}
        />
      ) : (
        <Link href={weeksAt}>{hour.day ? sayPlainDay(hour.day) : 'Its weeks'}</Link>
      )}
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
