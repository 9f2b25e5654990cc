'use client';

import { useState } from 'react';
import { Form } from 'react-bootstrap';
import { GROUPINGS, type Grouping } from '@/core/squad/squad-session';
import { isNamed, type Group } from '../../players/find-players';
import { asSquadQuery, MOST_PLAYERS, MOST_STATIONS, SAY_GROUPING, type SquadAsked } from './asked';
import { useAsked } from '../../form/use-asked';
import type { Named } from '../who-choice';
import { GreenChoice } from '../../form/green-choice';
import styles from './squad.module.scss';

/** Of whom is chosen, and who is there. */
export type Who = {
  /** Whether there are so many that they are chosen one by one, instead of left out. */
  chosen: boolean;
  players: readonly Named[];
  here: readonly string[];
  /** Who is usually here on the weekday that it is. */
  usual: readonly string[];
  weekday: string;
  groups: readonly Group[];
};
type Props = { asked: SquadAsked; who: Who; greens: readonly Named[] };

/** How a squad's session is wished; kept in the address, so that it can be sent, printed and shown on the wall. */
export function SquadBar({ asked: answered, who, greens }: Props) {
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
      {who.chosen ? (
        <Choose who={who} chosen={asked.with} onChange={(chosen) => go({ with: chosen })} />
      ) : (
        <People
          label="Who is here"
          players={who.players}
          isHere={(id) => !asked.without.includes(id)}
          onPress={(id) => go({ without: turned(asked.without, id) })}
        />
      )}
      <div className={styles.fields}>
        {who.groups.length > 0 && (
          <Form.Group controlId="group">
            <Form.Label>Players</Form.Label>
            <Form.Select
              value={asked.group ?? ''}
              onChange={({ target: { value } }) => go({ group: value === '' ? undefined : value, without: [], with: [] })}
            >
              <option value="">everybody</option>
              {who.groups.map(({ groupId, name }) => (
                <option key={groupId} value={groupId}>
                  {name}
                </option>
              ))}
            </Form.Select>
          </Form.Group>
        )}
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

const turned = (ids: readonly string[], id: string) => (ids.includes(id) ? ids.filter((one) => one !== id) : [...ids, id]);

type PeopleProps = {
  label: string;
  players: readonly Named[];
  isHere: (id: string) => boolean;
  onPress: (id: string) => void;
};

function People({ label, players, isHere, onPress }: PeopleProps) {
  return (
    <div className={styles.people} role="group" aria-label={label}>
      {players.map(({ id, name }) => {
        const here = isHere(id);
        return (
          <button
            key={id}
            type="button"
            className={`btn btn-sm ${here ? 'btn-dark' : 'btn-outline-dark'}`}
            aria-pressed={here}
            onClick={() => onPress(id)}
          >
            {name}
          </button>
        );
      })}
    </div>
  );
}

/** So many of those who are looked for are offered. */
const OFFERED = 24;

type ChooseProps = { who: Who; chosen: readonly string[]; onChange: (chosen: string[]) => void };

/** Of more players than are arranged: those who are there, and whoever is looked for, or is usually here. */
function Choose({ who: { players, usual, weekday }, chosen, onChange }: ChooseProps) {
  const [text, setText] = useState('');
  const here = players.filter(({ id }) => chosen.includes(id));
  const others = players.filter(({ id }) => !chosen.includes(id));
  const wanted = text.trim();
  const offered = `Usually here on a ${weekday}`;
  const found = wanted === '' ? others.filter(({ id }) => usual.includes(id)) : others.filter(({ name }) => isNamed(name, text));
  const full = here.length >= MOST_PLAYERS;
  const says = full
    ? `${MOST_PLAYERS} players is the most.`
    : found.length === 0
      ? wanted !== '' && `No player matches “${wanted}”.`
      : wanted === '' && offered;
  const ids = here.map(({ id }) => id);
  const shared = { isHere: (id: string) => ids.includes(id), onPress: (id: string) => onChange(turned(ids, id)) };
  return (
    <>
      {here.length > 0 && <People label="Who is here" players={here} {...shared} />}
      <Form.Group controlId="somebody" className={styles.find}>
        <Form.Label>Who is here?</Form.Label>
        <Form.Control
          type="search"
          autoComplete="off"
          placeholder={`one of ${players.length} players`}
          value={text}
          onChange={(event) => setText(event.target.value)}
        />
      </Form.Group>
      {says && <p className="small-print mt-2 mb-2">{says}</p>}
      {!full && found.length > 0 && <People label={wanted === '' ? offered : 'Found'} players={found.slice(0, OFFERED)} {...shared} />}
    </>
  );
}
