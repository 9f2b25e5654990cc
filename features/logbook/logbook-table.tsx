'use client';

import Link from 'next/link';
import { useMemo, useState } from 'react';
import { counted } from '@/core/units/format';
import { FilterChoice, FilterToggle, ListFilters, NoMatch } from '@/ui/list-filters';
import { ListTable, type ListColumn } from '@/ui/list-table';
import list from '@/ui/list-table.module.scss';
import { SchemePicture } from '../games/scoring/picture';
import type { ResultLine } from '../session/result-line';

/** A session of the logbook: with its moment and the day's conditions in words. */
export type LogbookRow = ResultLine & { when: string; conditions: string };

type Wanted = { text: string; goal: 'met' | 'missed' | ''; several: boolean };
const ANY: Wanted = { text: '', goal: '', several: false };
const GOALS = [
  ['', 'goal or not'],
  ['met', 'goal met'],
  ['missed', 'goal missed'],
] as const;

/** Whether a session is one that is looked for. */
export function isWanted(row: LogbookRow, { text, goal, several }: Wanted): boolean {
  const find = text.trim().toLocaleLowerCase();
  return (
    [row.who, row.title, row.conditions].some((said) => said.toLocaleLowerCase().includes(find)) &&
    (goal === '' || (row.met !== null && row.met === (goal === 'met'))) &&
    (!several || row.players > 1)
  );
}

/** Sessions that are over, to be looked through. */
export function LogbookTable({ slug, rows }: { slug: string; rows: LogbookRow[] }) {
  const [wanted, setWanted] = useState<Wanted>(ANY);
  const set = (change: Partial<Wanted>) => setWanted((now) => ({ ...now, ...change }));
  const shown = useMemo(() => rows.filter((row) => isWanted(row, wanted)), [rows, wanted]);
  const columns = useMemo(() => columnsOf(slug, rows), [slug, rows]);
  return (
    <>
      <ListFilters find="Find a player or a game" text={wanted.text} onText={(text) => set({ text })}>
        <FilterChoice label="Goal" value={wanted.goal} options={GOALS} onChoose={(goal) => set({ goal })} />
        {rows.some(({ players }) => players > 1) && (
          <FilterToggle pressed={wanted.several} onPress={() => set({ several: !wanted.several })}>
            Two or more players
          </FilterToggle>
        )}
      </ListFilters>
      {shown.length === 0 ? (
        <NoMatch what="session" all={counted(rows.length, 'session')} onAll={() => setWanted(ANY)} />
      ) : (
        <ListTable rows={shown} keyOf={keyOf} columns={columns} label="Sessions" />
      )}
    </>
  );
}

const keyOf = ({ sessionId }: LogbookRow) => sessionId;

function columnsOf(slug: string, rows: readonly LogbookRow[]): ListColumn<LogbookRow>[] {
  const conditions: ListColumn<LogbookRow> = {
    key: 'conditions',
    head: 'Conditions',
    wideOnly: true,
    cell: (row) => <small>{row.conditions}</small>,
  };
  return [
    { key: 'picture', head: '', wideOnly: true, className: list.picture, cell: (row) => <SchemePicture kind={row.kind} /> },
    {
      key: 'who',
      head: 'Player',
      by: (row) => row.who,
      cell: (row) => (
        <>
          <Link href={`/a/${slug}/sessions/${row.sessionId}`}>
            {row.who}
            <span className="visually-hidden">, {row.title}</span>
          </Link>
          <small>{row.balls}</small>
        </>
      ),
    },
    { key: 'title', head: 'Game', by: (row) => row.title, cell: (row) => row.title },
    {
      key: 'result',
      head: 'Result',
      cell: (row) => (
        <>
          <b className="fig">{row.figure}</b> <small>{row.words}</small>
        </>
      ),
    },
    { key: 'change', head: 'Compared with last time', wideOnly: true, by: (row) => row.change, cell: (row) => row.change },
    ...(rows.some((row) => row.conditions !== '') ? [conditions] : []),
    {
      key: 'when',
      head: 'When',
      by: (row) => row.atMs,
      largestFirst: true,
      cell: (row) => row.when,
    },
  ];
}
