'use client';

import { createColumnHelper, createSortedRowModel, FlexRender, rowSortingFeature, tableFeatures, useTable } from '@tanstack/react-table';
import type { ReactNode } from 'react';
import { useMemo } from 'react';
import styles from './list-table.module.scss';
import { SortedHead } from './sorted-head';
import { useShowAll, type Others } from './use-show-all';

/** One column of a list: what stands in it, and by what it is sorted; without, it is not. */
export type ListColumn<Row> = {
  key: string;
  head: string;
  cell: (row: Row) => ReactNode;
  by?: (row: Row) => number | string;
  /** The largest first when it is first pressed. */
  largestFirst?: boolean;
  /** Left out on a narrow screen. */
  wideOnly?: boolean;
  className?: string | undefined;
};

type Props<Row> = {
  rows: readonly Row[];
  keyOf: (row: Row) => string;
  /** The first one that has a head is what a row is called. */
  columns: readonly ListColumn<Row>[];
  label?: string;
  /** Rows that are not here yet: sorting asks for them too. */
  others?: Others | null;
};

const features = tableFeatures({ rowSortingFeature, sortedRowModel: createSortedRowModel(), sortFns: {} });

/** A list that is looked through: a row for each, sorted by its heads; a link in the first cell is pressed anywhere in its row. */
export function ListTable<Row>({ rows, keyOf, columns, label, others = null }: Props<Row>) {
  const of = useMemo(() => {
    const helper = createColumnHelper<typeof features, { row: Row }>();
    return helper.columns(
      columns.map(({ key, head, by = () => 0, largestFirst = false }) =>
        helper.accessor(({ row }) => by(row), {
          id: key,
          header: head,
          sortFn: (a, b) => compare(by(a.original.row), by(b.original.row)),
          sortDescFirst: largestFirst,
        }),
      ),
    );
  }, [columns]);
  const data = useMemo(() => rows.map((row) => ({ row })), [rows]);
  const table = useTable({ features, columns: of, data });
  const { shown, more } = useShowAll(table.getRowModel().rows, others);
  const called = columns.findIndex(({ head }) => head !== '');
  const classOf = ({ wideOnly, className }: ListColumn<Row>) =>
    [wideOnly && styles.wideOnly, className].filter(Boolean).join(' ') || undefined;
  return (
    <>
      <table className={styles.list} aria-label={label}>
        <thead>
          {table.getHeaderGroups().map((group) => (
            <tr key={group.id}>
              {group.headers.map((header, i) =>
                !columns[i]!.by ? (
                  <th key={header.id} scope="col" className={classOf(columns[i]!)} aria-hidden={columns[i]!.head === '' || undefined}>
                    <span>{columns[i]!.head}</span>
                  </th>
                ) : (
                  <SortedHead
                    key={header.id}
                    className={classOf(columns[i]!)}
                    sorted={header.column.getIsSorted()}
                    onSort={(event) => {
                      others?.ask();
                      header.column.getToggleSortingHandler()?.(event);
                    }}
                  >
                    <FlexRender header={header} />
                  </SortedHead>
                ),
              )}
            </tr>
          ))}
        </thead>
        <tbody>
          {shown.map(({ original: { row } }) => (
            <tr key={keyOf(row)}>
              {columns.map((column, i) =>
                i === called ? (
                  <th key={column.key} scope="row" className={classOf(column)}>
                    {column.cell(row)}
                  </th>
                ) : (
                  <td key={column.key} className={classOf(column)}>
                    {column.cell(row)}
                  </td>
                ),
              )}
            </tr>
          ))}
        </tbody>
      </table>
      {more}
    </>
  );
}

const compare = (a: number | string, b: number | string) => (typeof a === 'string' ? a.localeCompare(String(b)) : a - Number(b));
