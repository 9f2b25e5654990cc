'use client';

import { sayBetween, sayStrokes, type StrokesAs } from '@/core/units/strokes';
import { createColumnHelper, createSortedRowModel, FlexRender, rowSortingFeature, tableFeatures, useTable } from '@tanstack/react-table';
import { SortedHead } from '@/ui/sorted-head';
import { useOthers } from '@/ui/use-others';
import { useShowAll } from '@/ui/use-show-all';
import Link from 'next/link';
import { useMemo } from 'react';
import { counted } from '@/core/units/format';
import { shadeOf } from './shade';
import styles from './skill.module.scss';

/** One player's row: a figure for each skill that is shown. */
export type SquadRow = {
  id: string;
  name: string;
  level: number;
  skills: { mean: number; low: number; high: number; balls: number }[];
};
type Props = {
  rows: SquadRow[];
  /** How many rows there are, where these are the first of them. */
  of?: number;
  /** The greatest figure of all rows: shades are told against it. */
  most: number;
  /** The skills, as a heading and as a sentence names them. */
  skills: { heading: string; shots: string }[];
  average: { mean: number; players: number }[];
  per: 'shot' | 'round';
  strokes: StrokesAs;
  href: string;
  query: string;
};

const features = tableFeatures({ rowSortingFeature, sortedRowModel: createSortedRowModel(), sortFns: {} });
const column = createColumnHelper<typeof features, SquadRow>();

/** Players by skills, to be sorted by either. */
export function SquadTable({ rows, of = rows.length, most, skills, average, per, strokes, href, query }: Props) {
  const columns = useMemo(
    () =>
      column.columns([
        column.accessor('name', {
          header: 'Player',
          sortFn: (a, b) => a.original.name.localeCompare(b.original.name),
        }),
        ...skills.map(({ heading }, k) =>
          column.accessor((row) => figure(row, k, strokes), {
            id: `skill-${k}`,
            header: heading,
            // Those without a ball come last when the worst is asked for.
            sortFn: (a, b) => figure(a.original, k, strokes) - figure(b.original, k, strokes),
            sortDescFirst: strokes === 'lost',
          }),
        ),
      ]),
    [skills, strokes],
  );
  const table = useTable({ features, columns, data: rows });
  const others = useOthers(rows.length, of);
  const { shown, more } = useShowAll(table.getRowModel().rows, others);
  return (
    <div className={styles.scroll} role="region" aria-label={`Strokes ${strokes}, by player and skill`} tabIndex={0}>
      <table className={styles.squad}>
        <thead>
          {table.getHeaderGroups().map((group) => (
            <tr key={group.id}>
              {group.headers.map((header) => (
                <SortedHead
                  key={header.id}
                  sorted={header.column.getIsSorted()}
                  onSort={(event) => {
                    others?.ask();
                    header.column.getToggleSortingHandler()?.(event);
                  }}
                >
                  <FlexRender header={header} />
                </SortedHead>
              ))}
            </tr>
          ))}
        </thead>
        <tbody>
          {shown.map(({ id, original: row }) => (
            <tr key={id}>
              <th scope="row">
                <Link href={`${href}/${row.id}${query}`}>{row.name}</Link> <small className="small-print">{row.level}</small>
              </th>
              {row.skills.map(({ mean, low, high, balls }, k) => {
                const says = `${row.name}, ${skills[k]!.shots}: ${sayStrokes(mean, strokes)} ${strokes} a ${per}, ${sayBetween([low, high], strokes)} eight times in ten, ${counted(balls, 'ball')}`;
                return (
                  <td key={skills[k]!.heading}>
                    {/* One picture with one sentence: of hundreds of figures nothing is sent twice. */}
                    {balls === 0 ? (
                      <span role="img" title={says} className={`${styles.cell} ${styles.never}`} />
                    ) : (
                      <span role="img" title={says} className={styles.cell} style={shadeOf(mean / most, low <= 0 && high >= 0)}>
                        <b className="fig">{sayStrokes(mean, strokes)}</b>
                        <small>{balls}</small>
                      </span>
                    )}
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
        <tfoot>
          <tr>
            <th scope="row">All, on average</th>
            {average.map(({ mean, players }, k) => (
              <td key={skills[k]!.heading} className="text-center">
                <b className="fig">{sayStrokes(mean, strokes)}</b>
                <br />
                <small className="small-print">of {players}</small>
              </td>
            ))}
          </tr>
        </tfoot>
      </table>
      {more}
    </div>
  );
}

/** What a column is sorted by, in the sign in which it is shown; without a ball, last when the weakest come first. */
function figure({ skills }: SquadRow, k: number, strokes: StrokesAs): number {
  const { balls, mean } = skills[k]!;
  const lost = balls === 0 ? -Infinity : mean;
  return strokes === 'lost' ? lost : -lost;
}
