'use client';

import { sayLevel } from '@/core/golf/level';
import { usePathname, useRouter } from 'next/navigation';
import { useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { FIRMNESSES, say, SITS, STANCES, TRAJECTORIES } from '@/core/golf/words';
import { asQuery, FILTERS, isFiltered, type BoardAsked } from './asked';
import styles from './skill.module.scss';

type Props = {
  asked: BoardAsked;
  ownLevel: number;
  levels: readonly number[];
  games: readonly { gameId: string; title: string }[];
  clubs: readonly string[];
  winds: readonly string[];
  /** Whether there is a squad whose average can be chosen. */
  squad: boolean;
  /** The coach's own table, by name, where there is one. */
  table?: string | null;
};

/** Against what, and of which balls: kept in the address, so that a view can be sent and printed. */
export function Filters({ asked, ownLevel, levels, games, clubs, winds, squad, table = null }: Props) {
  const router = useRouter();
  const path = usePathname();
  const [open, setOpen] = useState(isFiltered(asked));
  const go = (change: Parameters<typeof asQuery>[1]) => router.replace(path + asQuery(asked, change), { scroll: false });
  const choose = (name: (typeof FILTERS)[number], label: string, all: string, options: readonly (readonly [string, string])[]) => (
    <Form.Group controlId={name} key={name}>
      <Form.Label>{label}</Form.Label>
      <Form.Select value={asked[name] ?? ''} onChange={(event) => go({ [name]: event.target.value || undefined })}>
        <option value="">{all}</option>
        {options.map(([value, words]) => (
          <option key={value} value={value}>
            {words}
          </option>
        ))}
      </Form.Select>
    </Form.Group>
  );
  const words = (list: readonly string[]) => list.map((word) => [word, say(word)] as const);
  const asTheyAre = (list: readonly string[]) => list.map((word) => [word, word] as const);
  const against = asked.against ?? ownLevel;
  return (
    <div className={`${styles.filters} no-print`}>
      <Form.Group controlId="against">
        <Form.Label>Compare with</Form.Label>
        <Form.Select
          value={String(against)}
          onChange={(event) => go({ against: event.target.value === String(ownLevel) ? undefined : event.target.value })}
        >
          {[...new Set([ownLevel, ...levels, ...(typeof against === 'number' ? [against] : [])])]
            .sort((a, b) => a - b)
            .map((one) => (
              <option key={one} value={one}>
                level {sayLevel(one)}
                {one === ownLevel ? ' (their own)' : ''}
              </option>
            ))}
          {squad && <option value="squad">the squad’s average</option>}
          {table && <option value="table">“{table}”</option>}
        </Form.Select>
      </Form.Group>
      {!open && (
        <Button variant="outline-dark" size="sm" aria-expanded={false} onClick={() => setOpen(true)}>
          Filter
        </Button>
      )}
      {open && (
        <>
          {(['from', 'to'] as const).map((name) => (
            <Form.Group controlId={name} key={name}>
              <Form.Label>{name === 'from' ? 'From' : 'Up to'}</Form.Label>
              <Form.Control
                type="date"
                value={asked[name] ?? ''}
                min={name === 'to' ? asked.from : undefined}
                max={name === 'from' ? asked.to : undefined}
                onChange={(event) => go({ [name]: event.target.value || undefined })}
              />
            </Form.Group>
          ))}
          {choose(
            'game',
            'Game',
            'all games',
            games.map(({ gameId, title }) => [gameId, title] as const),
          )}
          {choose('sit', 'Sit', 'any', words(SITS))}
          {choose('stance', 'Stance', 'any', words(STANCES))}
          {choose('trajectory', 'Flight', 'any', words(TRAJECTORIES))}
          {clubs.length > 0 && choose('club', 'Club', 'any', asTheyAre(clubs))}
          {choose('firmness', 'Green', 'any', words(FIRMNESSES))}
          {winds.length > 0 && choose('wind', 'Wind', 'any', asTheyAre(winds))}
          <Button
            variant="link"
            size="sm"
            onClick={() => {
              setOpen(false);
              if (isFiltered(asked)) go(Object.fromEntries(FILTERS.map((name) => [name, undefined])));
            }}
          >
            All balls
          </Button>
        </>
      )}
    </div>
  );
}
