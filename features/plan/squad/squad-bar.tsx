'use client';

import { Form } from 'react-bootstrap';
import { GROUPINGS, type Grouping } from '@/core/squad/squad-session';
import { asSquadQuery, MOST_STATIONS, SAY_GROUPING, type SquadAsked } from './asked';
import { useAsked } from '../../form/use-asked';
import type { Named } from '../who-choice';
import { GreenChoice } from '../../form/green-choice';
import styles from './squad.module.scss';

type Props = { asked: SquadAsked; players: readonly Named[]; greens: readonly Named[] };

/** How a squad's session is wished; kept in the address, so that it can be sent, printed and shown on the wall. */
export function SquadBar({ asked: answered, players, greens }: Props) {
  const { asked, pending, go } = useAsked(answered, asSquadQuery);
  const number = (name: 'minutes' | 'round' | 'change' | 'balls' | 'stations', label: string, least: number, most: number) => (
    <Form.Group controlId={name}>
      <Form.Label>{label}</Form.Label>
      <Form.Control
        key={asked[name]}
        type="number"
        min={least}
        max={most}
        defaultValue={asked[name]}
        onBlur={(event) => set(name, event.target.value, least, most)}
        onKeyDown={(event) => event.key === 'Enter' && set(name, event.currentTarget.value, least, most)}
      />
    </Form.Group>
  );
  const set = (name: keyof SquadAsked, text: string, least: number, most: number) => {
    const value = Math.round(Number(text));
    if (text.trim() === '' || !Number.isFinite(value)) return;
    const fitting = Math.min(most, Math.max(least, value));
    if (fitting !== asked[name]) go({ [name]: fitting });
  };
  return (
    <div className="no-print" aria-busy={pending}>
      <div className={styles.people} role="group" aria-label="Who is there">
        {players.map(({ id, name }) => {
          const here = !asked.without.includes(id);
          return (
            <button
              key={id}
              type="button"
              className={`btn btn-sm ${here ? 'btn-dark' : 'btn-outline-dark'}`}
              aria-pressed={here}
              onClick={() => go({ without: here ? [...asked.without, id] : asked.without.filter((one) => one !== id) })}
            >
              {name}
            </button>
          );
        })}
      </div>
      <div className={styles.fields}>
        <Form.Group controlId="green">
          <Form.Label>On</Form.Label>
          <GreenChoice greens={greens} greenId={asked.green} onChange={(green) => go({ green: green ?? undefined })} />
        </Form.Group>
        {asked.green === undefined && number('stations', 'Stations', 1, MOST_STATIONS)}
        <Form.Group controlId="groups">
          <Form.Label>Groups</Form.Label>
          <Form.Select value={asked.groups} onChange={(event) => go({ groups: Number(event.target.value) })}>
            <option value={0}>one a station</option>
            {Array.from({ length: MOST_STATIONS }, (_, i) => (
              <option key={i} value={i + 1}>
                {i + 1}
              </option>
            ))}
          </Form.Select>
        </Form.Group>
        <Form.Group controlId="by">
          <Form.Label>Put together</Form.Label>
          <Form.Select value={asked.by} onChange={(event) => go({ by: event.target.value as Grouping })}>
            {GROUPINGS.map((by) => (
              <option key={by} value={by}>
                {SAY_GROUPING[by]}
              </option>
            ))}
          </Form.Select>
        </Form.Group>
        {number('minutes', 'Minutes in all', 10, 240)}
        {number('round', 'Minutes a round', 2, 60)}
        {number('change', 'To change', 0, 15)}
        {number('balls', 'Balls a player', 1, 30)}
      </div>
    </div>
  );
}
