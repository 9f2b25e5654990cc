'use client';

import Link from 'next/link';
import { useMemo } from 'react';
import type { LogbookColumn } from '@/core/logbook/asked';
import { ListTable, type ListColumn } from '@/ui/list-table';
import list from '@/ui/list-table.module.scss';
import { SchemePicture } from '../games/scoring/picture';
import type { ResultLine } from '../session/result-line';
import styles from './logbook.module.scss';

/** A session of the logbook: with its moment and the day's conditions in words, and what it is filed under. */
export type LogbookRow = ResultLine & { when: string; conditions: string; tags: readonly string[] };

type Props = { slug: string; rows: readonly LogbookRow[]; without: readonly LogbookColumn[] };

/** Sessions that are over, as they were found. */
export function LogbookTable({ slug, rows, without }: Props) {
  const columns = useMemo(() => columnsOf(slug, rows, without), [slug, rows, without]);
  return <ListTable rows={rows} keyOf={keyOf} columns={columns} label="Sessions" />;
}

const keyOf = ({ sessionId }: LogbookRow) => sessionId;

function columnsOf(slug: string, rows: readonly LogbookRow[], without: readonly LogbookColumn[]): ListColumn<LogbookRow>[] {
  const chosen: Readonly<Record<LogbookColumn, ListColumn<LogbookRow> | null>> = {
    change: { key: 'change', head: 'Compared with last time', wideOnly: true, cell: (row) => row.change },
    conditions: rows.some((row) => row.conditions !== '')
      ? { key: 'conditions', head: 'Conditions', wideOnly: true, cell: (row) => <small>{row.conditions}</small> }
      : null,
    tags: rows.some((row) => row.tags.length > 0)
      ? {
          key: 'tags',
          head: 'Tags',
          wideOnly: true,
          cell: (row) => (
            <span className={styles.tags}>
              {row.tags.map((tag) => (
                <span key={tag}>{tag}</span>
              ))}
            </span>
          ),
        }
      : null,
  };
  const of = (column: LogbookColumn) => (without.includes(column) ? null : chosen[column]);
  const all: (ListColumn<LogbookRow> | null)[] = [
    { key: 'picture', head: '', wideOnly: true, className: list.picture, cell: (row) => <SchemePicture kind={row.kind} /> },
    {
      key: 'who',
      head: 'Player',
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
    { key: 'title', head: 'Game', cell: (row) => row.title },
    {
      key: 'result',
      head: 'Result',
      cell: (row) => (
        <>
          <b className="fig">{row.figure}</b> <small>{row.words}</small>
        </>
      ),
    },
    of('change'),
    of('conditions'),
    of('tags'),
    { key: 'when', head: 'When', cell: (row) => row.when },
  ];
  return all.filter((column) => column !== null);
}
