'use client';

import Link from 'next/link';
import { useMemo, useState } from 'react';
import { sayStrokes, type StrokesAs } from '@/core/units/strokes';
import { sayLevel } from '@/core/golf/level';
import { FAMILIES, type Family } from '@/core/golf/shot-types';
import { counted, nounOf } from '@/core/units/format';
import { FilterChoice, FilterToggle, ListFilters, NoMatch } from '@/ui/list-filters';
import { ListTable, type ListColumn } from '@/ui/list-table';
import { useOthers } from '@/ui/use-others';
import { GroupChoice, isInGroup, isNamed, type Group } from './find-players';
import { LostBar, type LostScale } from './lost-bar';
import { boardAddress, type PlayerRow } from './player-rows';
import styles from './players.module.scss';

type Wanted = { text: string; family: Family | ''; away: boolean; group: string };
const ANY: Wanted = { text: '', family: '', away: false, group: '' };
/** Whoever was not here for so long is missed. */
const AWAY_MS = 14 * 86_400_000;
const WEAK_IN: Readonly<Record<Family, string>> = { putting: 'putting', chipping: 'chipping', pitching: 'pitching', bunker: 'sand' };

/** Whether a player is one that is looked for. */
export function isWanted(row: PlayerRow, { text, family, away, group }: Wanted, nowMs: number, groups: readonly Group[] = []): boolean {
  return (
    isNamed(row.name, text) &&
    (family === '' || row.weakest?.family === family) &&
    (!away || row.last === null || nowMs - row.last.atMs > AWAY_MS) &&
    isInGroup(groups, group, row.id)
  );
}

type Props = {
  slug: string;
  rows: PlayerRow[];
  /** How many there are, where these are the first of them. */
  of?: number;
  /** On which all bars fit. */
  scale: LostScale;
  /** In which players are coached together. */
  groups?: readonly Group[];
  strokes: StrokesAs;
  nowMs: number;
  /** Whether what is not known yet is being worked out. */
  pending: boolean;
};

/** Players, to be looked through: where each is weakest and how sure that is, how they went, what comes next. */
export function PlayersTable({ slug, rows, of = rows.length, scale, groups = NONE, strokes, nowMs, pending }: Props) {
  const [wanted, setWanted] = useState<Wanted>(ANY);
  const others = useOthers(rows.length, of);
  const set = (change: Partial<Wanted>) => {
    others?.ask();
    setWanted((now) => ({ ...now, ...change }));
  };
  const shown = useMemo(() => rows.filter((row) => isWanted(row, wanted, nowMs, groups)), [rows, wanted, nowMs, groups]);
  const columns = useMemo(() => columnsOf(slug, strokes, scale, pending), [slug, strokes, scale, pending]);
  return (
    <>
      {rows.length > 1 && (
        <ListFilters find="Find a player" text={wanted.text} onText={(text) => set({ text })}>
          <FilterChoice
            label="Weakest in"
            value={wanted.family}
            options={[['', 'weakest in anything'], ...FAMILIES.map((family) => [family, `weakest in ${WEAK_IN[family]}`] as const)]}
            onChoose={(family) => set({ family })}
          />
          <GroupChoice groups={groups} value={wanted.group} onChoose={(group) => set({ group })} />
          <FilterToggle pressed={wanted.away} onPress={() => set({ away: !wanted.away })}>
            Not here for two weeks
          </FilterToggle>
        </ListFilters>
      )}
      {shown.length === 0 && others ? (
        <p role="status" className="small-print">
          Loading all {of} …
        </p>
      ) : shown.length === 0 ? (
        <NoMatch what="player" all={counted(of, 'player')} onAll={() => setWanted(ANY)} />
      ) : (
        <ListTable rows={shown} keyOf={keyOf} columns={columns} label="Players" others={others} />
      )}
    </>
  );
}

const NONE: readonly Group[] = [];
const keyOf = ({ id }: PlayerRow) => id;

function columnsOf(slug: string, strokes: StrokesAs, scale: LostScale, pending: boolean): ListColumn<PlayerRow>[] {
  /** What stands where nothing is known yet, in a column that a phone has too. */
  const unknown = ({ balls }: PlayerRow) => <small>{balls === 0 ? 'no ball yet' : pending ? 'being worked out …' : ''}</small>;
  const lostOf = ({ lost }: PlayerRow) => (lost === null ? -Infinity : lost.mean);
  return [
    {
      key: 'name',
      head: 'Player',
      by: (row) => row.name,
      cell: (row) => (
        <>
          <Link href={boardAddress(slug, row.id)}>{row.name}</Link>
          <small>
            level {sayLevel(row.level)}
            {row.leftHanded && ' · left-handed'}
          </small>
          {row.dreads && <small>dreads {row.dreads}</small>}
        </>
      ),
    },
    {
      key: 'lost',
      head: `${strokes === 'lost' ? 'Lost' : 'Gained'} a round`,
      by: (row) => (strokes === 'lost' ? lostOf(row) : -lostOf(row)),
      largestFirst: strokes === 'lost',
      className: styles.lost,
      wideOnly: true,
      cell: (row) =>
        row.lost && (
          <>
            <LostBar lost={row.lost} strokes={strokes} scale={scale} />
            <b className="fig">{sayStrokes(row.lost.mean, strokes)}</b>
          </>
        ),
    },
    {
      key: 'weakest',
      head: 'Weakest shot',
      by: (row) => row.weakest?.shot ?? '',
      cell: (row) =>
        row.weakest ? (
          <>
            {row.weakest.clear ? <b className={styles.shot}>{row.weakest.shot}</b> : 'none stands out'}
            <small>
              {row.weakest.clear
                ? `${row.weakest.figure} a round · ${row.weakest.how}`
                : `${row.weakest.how}, likeliest ${row.weakest.shot}`}
            </small>
          </>
        ) : row.lost ? (
          <small>none so far</small>
        ) : (
          unknown(row)
        ),
    },
    {
      key: 'next',
      head: 'Practise next',
      wideOnly: true,
      cell: (row) =>
        row.next && (
          <>
            {row.next.what}
            <small>{row.next.why}</small>
          </>
        ),
    },
    {
      key: 'trend',
      head: 'Last four weeks',
      wideOnly: true,
      by: (row) => row.trend?.better ?? 0.5,
      cell: (row) => row.trend?.words,
    },
    {
      key: 'last',
      head: 'Last here',
      by: (row) => row.last?.atMs ?? 0,
      largestFirst: true,
      className: styles.lastHere,
      cell: (row) => (
        <>
          {row.last?.day ?? 'never'}
          <small>
            {row.balls.toLocaleString('en')} {nounOf(row.balls, 'ball')}
          </small>
        </>
      ),
    },
  ];
}
