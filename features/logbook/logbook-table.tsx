'use client';

import Link from 'next/link';
import { useMemo, useState } from 'react';
import { Button } from 'react-bootstrap';
import { asLogbookQuery, type LogbookColumn, type LogbookSort } from '@/core/logbook/asked';
import { counted } from '@/core/units/format';
import { ListTable, type ListColumn } from '@/ui/list-table';
import list from '@/ui/list-table.module.scss';
import { SchemePicture } from '../games/scoring/picture';
import type { ResultLine } from '../session/result-line';
import styles from './logbook.module.scss';

/** A session of the logbook: with its moment and the day's conditions in words, and what it is filed under. */
export type LogbookRow = ResultLine & {
  when: string;
  conditions: string;
  tags: readonly string[];
  /** The game, if it is still one, and who played, to do it again. */
  gameId: string | null;
  playerIds: readonly string[];
};

type Props = {
  slug: string;
  /** Whether a coach looks: what can be done with chosen sessions is for coaches. */
  mayChange: boolean;
  rows: readonly LogbookRow[];
  without: readonly LogbookColumn[];
  sort?: LogbookSort;
};

/** Sessions that are over, as they were found; some of them can be chosen. */
export function LogbookTable({ slug, mayChange, rows, without, sort = 'newest' }: Props) {
  const [picked, setPicked] = useState<ReadonlySet<string>>(new Set());
  const columns = useMemo(() => {
    const pick = (id: string) => setPicked((now) => new Set(now.has(id) ? [...now].filter((one) => one !== id) : [...now, id]));
    return [...(mayChange ? [pickColumn(picked, pick)] : []), ...columnsOf(slug, rows, without)];
  }, [slug, mayChange, rows, without, picked]);
  const chosen = rows.filter(({ sessionId }) => picked.has(sessionId));
  return (
    <>
      <ListTable rows={rows} keyOf={keyOf} columns={columns} label="Sessions" />
      {chosen.length > 0 && (
        <Chosen
          slug={slug}
          chosen={chosen}
          sort={sort}
          onAll={chosen.length < rows.length ? () => setPicked(new Set(rows.map(keyOf))) : null}
          onNone={() => setPicked(new Set())}
        />
      )}
    </>
  );
}

type ChosenProps = { slug: string; chosen: readonly LogbookRow[]; sort: LogbookSort; onAll: (() => void) | null; onNone: () => void };

/** What can be done with sessions that were chosen. */
function Chosen({ slug, chosen, sort, onAll, onNone }: ChosenProps) {
  const query = asLogbookQuery({ filter: { ids: chosen.map(keyOf).join(',') }, sort, after: null, without: [] });
  const [one] = chosen.length === 1 ? chosen : [];
  const players = (name: string) => (one ? one.playerIds.map((id) => [name, id]) : []);
  return (
    <div className={`${styles.chosen} no-print`} role="group" aria-label="Selected sessions">
      <b>{counted(chosen.length, 'session')} selected</b>
      <a href={`/a/${slug}/logbook/file${query}`} className="btn btn-outline-dark" download>
        Download
      </a>
      <a href={`/a/${slug}/logbook/shots${query}`} className="btn btn-outline-dark" download>
        Download the balls
      </a>
      {one?.gameId && (
        <>
          <Link href={`/a/${slug}/games/${one.gameId}?${new URLSearchParams(players('with')).toString()}`} className="btn btn-outline-dark">
            Play it again
          </Link>
          <Link
            href={`/a/${slug}/plan/hour/new?${new URLSearchParams([...players('for'), ['game', one.gameId]]).toString()}`}
            className="btn btn-outline-dark"
          >
            Plan it again
          </Link>
        </>
      )}
      {onAll && (
        <Button variant="link" onClick={onAll}>
          Select all on this page
        </Button>
      )}
      <Button variant="link" onClick={onNone}>
        Select none
      </Button>
    </div>
  );
}

/** Where a session is chosen. */
const pickColumn = (picked: ReadonlySet<string>, onPick: (id: string) => void): ListColumn<LogbookRow> => ({
  key: 'pick',
  head: '',
  wideOnly: true,
  className: styles.pick,
  cell: ({ sessionId, who, title, when }) => (
    <label>
      <input type="checkbox" className="form-check-input" checked={picked.has(sessionId)} onChange={() => onPick(sessionId)} />
      <span className="visually-hidden">
        Select {who}, {title}, {when}
      </span>
    </label>
  ),
});

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
