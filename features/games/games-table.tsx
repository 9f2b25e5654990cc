'use client';

import { FilterChoice, FilterToggle, ListFilters, NoMatch } from '@/ui/list-filters';
import { ListTable, type ListColumn } from '@/ui/list-table';
import list from '@/ui/list-table.module.scss';
import Link from 'next/link';
import { useMemo, useState, type ReactNode } from 'react';
import { FAMILIES, type Family } from '@/core/golf/shot-types';
import { say, SURFACES, type Surface } from '@/core/golf/words';
import { counted } from '@/core/units/format';
import type { GameRow } from './game-rows';
import styles from './games-table.module.scss';
import { SchemePicture } from './scoring/picture';

const FAMILY_WORDS: Readonly<Record<Family, string>> = {
  putting: 'Putting',
  chipping: 'Chipping',
  pitching: 'Pitching',
  bunker: 'Sand',
};
/** A game that takes no longer is a short one, in minutes. */
const SHORT_MIN = 15;

type Wanted = { families: readonly Family[]; short: boolean; several: boolean; surface: Surface | ''; text: string };
const ANY: Wanted = { families: [], short: false, several: false, surface: '', text: '' };

/** Whether a game is one that is looked for. */
export function isWanted(row: GameRow, { families, short, several, surface, text }: Wanted): boolean {
  const find = text.trim().toLocaleLowerCase();
  return (
    (families.length === 0 || row.families.some((family) => families.includes(family))) &&
    (!short || (row.minutes !== null && row.minutes <= SHORT_MIN)) &&
    (!several || row.players > 1) &&
    (surface === '' || row.surfaces.includes(surface)) &&
    [row.title, row.about, row.line].some((said) => said.toLocaleLowerCase().includes(find))
  );
}

const picture: ListColumn<GameRow> = {
  key: 'picture',
  head: '',
  cell: ({ kind }) => <SchemePicture kind={kind} />,
  className: list.picture,
};
const minutes: ListColumn<GameRow> = {
  key: 'minutes',
  head: 'Time',
  cell: (row) => <span className="fig text-nowrap">{row.minutes === null ? 'open' : `${row.minutes} min`}</span>,
  by: (row) => row.minutes ?? Infinity,
};
const title = (small: (row: GameRow) => ReactNode): ListColumn<GameRow> => ({
  key: 'title',
  head: 'Game',
  by: (row) => row.title,
  cell: (row) => (
    <>
      <Link href={row.href}>{row.title}</Link>
      {small(row)}
    </>
  ),
});
const READY: readonly ListColumn<GameRow>[] = [
  picture,
  title(({ about, line }) => (
    <>
      <small>{about}</small>
      <small className={styles.line}>{line}</small>
    </>
  )),
  minutes,
  { key: 'audience', head: 'For', cell: (row) => row.audience, by: (row) => row.audience ?? '' },
];
const PLAYED: readonly ListColumn<GameRow>[] = [
  picture,
  title(({ line }) => <small>{line}</small>),
  minutes,
  {
    key: 'last',
    head: 'Last result',
    by: (row) => row.last?.atMs ?? 0,
    largestFirst: true,
    cell: ({ last, sessions }) =>
      last ? (
        <>
          <b className="fig">{last.figure}</b> <small>{[last.words, last.day].filter(Boolean).join(' · ')}</small>
        </>
      ) : (
        <small>{sessions > 0 ? 'not finished yet' : 'never played'}</small>
      ),
  },
  {
    key: 'best',
    head: 'Best',
    by: (row) => row.best?.name ?? '',
    wideOnly: true,
    className: 'text-nowrap',
    cell: ({ best }) =>
      best && (
        <>
          <b className="fig">{best.figure}</b> <small>{best.name}</small>
        </>
      ),
  },
  {
    key: 'sessions',
    head: 'Played',
    by: (row) => row.sessions,
    largestFirst: true,
    wideOnly: true,
    className: 'text-nowrap',
    cell: ({ sessions }) => <span className="fig">{sessions > 0 ? counted(sessions, 'time') : ''}</span>,
  },
];

type Props = {
  rows: GameRow[];
  /** `played`: with what came of each; `ready`: with whom each is for. */
  as: 'played' | 'ready';
};

/** Games, to be looked through: found by what they train, how long they take and from where, and sorted by each column. */
export function GamesTable({ rows, as }: Props) {
  const [wanted, setWanted] = useState<Wanted>(ANY);
  const shown = useMemo(() => rows.filter((row) => isWanted(row, wanted)), [rows, wanted]);
  const set = (change: Partial<Wanted>) => setWanted((now) => ({ ...now, ...change }));
  const inUse = FAMILIES.filter((family) => rows.some((row) => row.families.includes(family)));
  const surfaces = SURFACES.filter((surface) => rows.some((row) => row.surfaces.includes(surface)));
  return (
    <>
      <ListFilters find="Find a game" text={wanted.text} onText={(text) => set({ text })}>
        {inUse.map((family) => (
          <FilterToggle
            key={family}
            pressed={wanted.families.includes(family)}
            onPress={() =>
              set({
                families: wanted.families.includes(family) ? wanted.families.filter((one) => one !== family) : [...wanted.families, family],
              })
            }
          >
            {FAMILY_WORDS[family]}
          </FilterToggle>
        ))}
        <FilterToggle pressed={wanted.short} onPress={() => set({ short: !wanted.short })}>
          15 min or less
        </FilterToggle>
        <FilterToggle pressed={wanted.several} onPress={() => set({ several: !wanted.several })}>
          For two or more
        </FilterToggle>
        <FilterChoice
          label="From which lie"
          value={wanted.surface}
          options={[['', 'from any lie'], ...surfaces.map((surface) => [surface, `from ${say(surface)}`] as const)]}
          onChoose={(surface) => set({ surface })}
        />
      </ListFilters>
      {shown.length === 0 ? (
        <NoMatch what="game" all={counted(rows.length, 'game')} onAll={() => setWanted(ANY)} />
      ) : (
        <ListTable rows={shown} keyOf={keyOf} columns={as === 'ready' ? READY : PLAYED} label="Games" />
      )}
    </>
  );
}

const keyOf = ({ key }: GameRow) => key;
