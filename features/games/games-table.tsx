'use client';

import { createColumnHelper, createSortedRowModel, FlexRender, rowSortingFeature, tableFeatures, useTable } from '@tanstack/react-table';
import { SortedHead } from '@/ui/sorted-head';
import Link from 'next/link';
import { useMemo, useState } from 'react';
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

const features = tableFeatures({ rowSortingFeature, sortedRowModel: createSortedRowModel(), sortFns: {} });
const column = createColumnHelper<typeof features, GameRow>();

/** Compares two games by a figure or a word of theirs. */
const by = (of: (row: GameRow) => number | string) => (a: { original: GameRow }, b: { original: GameRow }) => {
  const [first, second] = [of(a.original), of(b.original)];
  return typeof first === 'string' ? first.localeCompare(String(second)) : first - Number(second);
};
const title = column.accessor('title', { header: 'Game', sortFn: by((row) => row.title) });
const minutes = column.accessor('minutes', { header: 'Time', sortFn: by((row) => row.minutes ?? Infinity), sortDescFirst: false });
const READY = column.columns([title, minutes, column.accessor('audience', { header: 'For', sortFn: by((row) => row.audience ?? '') })]);
const PLAYED = column.columns([
  title,
  minutes,
  column.accessor('last', { header: 'Last result', sortFn: by((row) => row.last?.atMs ?? 0), sortDescFirst: true }),
  column.accessor('best', { header: 'Best', sortFn: by((row) => row.best?.name ?? '') }),
  column.accessor('sessions', { header: 'Played', sortFn: by((row) => row.sessions), sortDescFirst: true }),
]);

type Props = {
  rows: GameRow[];
  /** `played`: with what came of each; `ready`: with whom each is for. */
  as: 'played' | 'ready';
};

/** Games, to be looked through: found by what they train, how long they take and from where, and sorted by each column. */
export function GamesTable({ rows, as }: Props) {
  const [wanted, setWanted] = useState<Wanted>(ANY);
  const columns = as === 'ready' ? READY : PLAYED;
  const shown = useMemo(() => rows.filter((row) => isWanted(row, wanted)), [rows, wanted]);
  const table = useTable({ features, columns, data: shown });
  const set = (change: Partial<Wanted>) => setWanted((now) => ({ ...now, ...change }));
  const inUse = FAMILIES.filter((family) => rows.some((row) => row.families.includes(family)));
  const surfaces = SURFACES.filter((surface) => rows.some((row) => row.surfaces.includes(surface)));
  return (
    <>
      <div className={styles.filters} role="group" aria-label="Filter">
        {inUse.map((family) => (
          <button
            key={family}
            type="button"
            className="btn btn-sm btn-outline-dark"
            aria-pressed={wanted.families.includes(family)}
            onClick={() =>
              set({
                families: wanted.families.includes(family) ? wanted.families.filter((one) => one !== family) : [...wanted.families, family],
              })
            }
          >
            {FAMILY_WORDS[family]}
          </button>
        ))}
        <button
          type="button"
          className="btn btn-sm btn-outline-dark"
          aria-pressed={wanted.short}
          onClick={() => set({ short: !wanted.short })}
        >
          15 min or less
        </button>
        <button
          type="button"
          className="btn btn-sm btn-outline-dark"
          aria-pressed={wanted.several}
          onClick={() => set({ several: !wanted.several })}
        >
          For two or more
        </button>
        <select
          className="form-select form-select-sm"
          aria-label="From which lie"
          value={wanted.surface}
          onChange={(event) => set({ surface: event.target.value as Surface | '' })}
        >
          <option value="">from any lie</option>
          {surfaces.map((surface) => (
            <option key={surface} value={surface}>
              from {say(surface)}
            </option>
          ))}
        </select>
        <input
          type="search"
          className="form-control form-control-sm"
          aria-label="Find a game"
          placeholder="Find a game"
          value={wanted.text}
          onChange={(event) => set({ text: event.target.value })}
        />
      </div>
      {shown.length === 0 ? (
        <p className="empty" role="status">
          No game like that.{' '}
          <button type="button" className="btn btn-link p-0 align-baseline" onClick={() => setWanted(ANY)}>
            Show all {counted(rows.length, 'game')}
          </button>
        </p>
      ) : (
        <table className={styles.games}>
          <thead>
            {table.getHeaderGroups().map((group) => (
              <tr key={group.id}>
                <th aria-hidden="true" className={styles.pictureCell} />
                {group.headers.map((header) => (
                  <SortedHead key={header.id} sorted={header.column.getIsSorted()} onSort={header.column.getToggleSortingHandler()}>
                    <FlexRender header={header} />
                  </SortedHead>
                ))}
              </tr>
            ))}
          </thead>
          <tbody>
            {table.getRowModel().rows.map(({ id, original: row }) => (
              <tr key={id}>
                <td className={styles.pictureCell}>
                  <SchemePicture kind={row.kind} />
                </td>
                <th scope="row">
                  <Link href={row.href}>{row.title}</Link>
                  <small>{as === 'ready' ? row.about : row.line}</small>
                  {as === 'ready' && <small className={styles.line}>{row.line}</small>}
                </th>
                <td className="fig text-nowrap">{row.minutes === null ? 'open' : `${row.minutes} min`}</td>
                {as === 'ready' ? (
                  <td>{row.audience}</td>
                ) : (
                  <>
                    <td>
                      {row.last ? (
                        <>
                          <b className="fig">{row.last.figure}</b>{' '}
                          <small>{[row.last.words, row.last.day].filter(Boolean).join(' · ')}</small>
                        </>
                      ) : (
                        <small>{row.sessions > 0 ? 'not finished yet' : 'never played'}</small>
                      )}
                    </td>
                    <td className={styles.best}>
                      {row.best && (
                        <>
                          <b className="fig">{row.best.figure}</b> <small>{row.best.name}</small>
                        </>
                      )}
                    </td>
                    <td className={`${styles.best} fig`}>{row.sessions > 0 ? counted(row.sessions, 'time') : ''}</td>
                  </>
                )}
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </>
  );
}
