'use client';

import {
  createColumnHelper,
  createSortedRowModel,
  FlexRender,
  rowSortingFeature,
  tableFeatures,
  useTable,
  type SortFn,
} from '@tanstack/react-table';
import { Table } from 'react-bootstrap';
import { sayBand } from '@/core/golf/bands';
import { say } from '@/core/golf/words';
import type { SkillRow } from '@/core/skill/table';
import { formatLeft, signed } from '@/core/units/format';
import type { UnitSystem } from '@/core/units/length';
import styles from './players.module.scss';

const features = tableFeatures({ rowSortingFeature, sortedRowModel: createSortedRowModel(), sortFns: {} });
const column = createColumnHelper<typeof features, SkillRow>();

/** Sorts by a figure; rows without it come last whichever way. */
const by =
  (figure: (row: SkillRow) => number | null): SortFn<typeof features, SkillRow> =>
  (a, b) =>
    (figure(a.original) ?? -Infinity) - (figure(b.original) ?? -Infinity);

/** "33%", or "33–50%" where rings leave it open. */
function share(low: number, high: number, of: number): string {
  if (of === 0) return '–';
  const percent = (n: number) => Math.round((100 * n) / of);
  return percent(low) === percent(high) ? `${percent(low)}%` : `${percent(low)}–${percent(high)}%`;
}

function left(row: SkillRow, system: UnitSystem): string {
  if (!row.median) return '–';
  const { from, to } = row.median;
  if (!Number.isFinite(to)) return `over ${formatLeft(from, system)}`;
  const [near, far] = [formatLeft(from, system), formatLeft(to, system)];
  return near === far ? near : `${near} – ${far}`;
}

function columnsFor(system: UnitSystem, inside: string, most: number) {
  return column.columns([
    column.accessor((row) => `${say(row.shotType)}, ${say(row.surface)}`, {
      id: 'shot',
      header: 'Shot',
      cell: ({ row }) => (
        <>
          <b>{say(row.original.shotType)}</b> <span className={styles.from}>{say(row.original.surface)}</span>
        </>
      ),
      sortFn: (a, b) => a.original.shotType.localeCompare(b.original.shotType) || a.original.surface.localeCompare(b.original.surface),
    }),
    column.accessor((row) => sayBand(row.band), {
      id: 'band',
      header: 'Distance',
      sortFn: by((row) => (row.band.unit === 'ft' ? row.band.min / 3 : row.band.min)),
    }),
    column.accessor((row) => row.lost?.perShot ?? null, {
      id: 'lost',
      header: 'Lost a shot',
      cell: ({ row }) => <Lost row={row.original} most={most} />,
      sortFn: by((row) => row.lost?.perShot ?? null),
    }),
    column.accessor('balls', { header: 'Balls', sortFn: by((row) => row.balls) }),
    column.accessor((row) => left(row, system), {
      id: 'left',
      header: 'Median left',
      cell: ({ row, getValue }) => (
        <>
          {getValue()} {row.original.shotType === 'putt' && <small>leave of {row.original.median?.of ?? 0}</small>}
        </>
      ),
      sortFn: by((row) => row.median?.from ?? null),
    }),
    column.accessor((row) => share(row.inside.sure, row.inside.possible, row.inside.of), {
      id: 'inside',
      header: `Inside ${inside}`,
      sortFn: by((row) => (row.inside.of === 0 ? null : row.inside.sure / row.inside.of)),
    }),
    column.accessor((row) => share(row.holed, row.holed, row.balls), {
      id: 'holed',
      header: 'Holed',
      sortFn: by((row) => row.holed / row.balls),
    }),
  ]);
}

/** The figure and a bar from the level outwards: right and ochre loses, left and blue gains. */
function Lost({ row, most }: { row: SkillRow; most: number }) {
  if (!row.lost) return <span className="small-print">no reference</span>;
  const { perShot, give } = row.lost;
  const width = (50 * Math.abs(perShot)) / most;
  return (
    <span className={styles.lost}>
      <span className={styles.bar} aria-hidden="true">
        <i
          className={perShot > 0 ? styles.loses : styles.gains}
          style={perShot > 0 ? { left: '50%', width: `${width}%` } : { right: '50%', width: `${width}%` }}
        />
      </span>
      <b className="fig">{signed(perShot)}</b>
      <small>{give === null ? '' : `±${give.toFixed(2)}`}</small>
    </span>
  );
}

const NUMERIC = new Set(['balls', 'left', 'inside', 'holed', 'lost']);

export function SkillTable({ rows, system, inside }: { rows: SkillRow[]; system: UnitSystem; inside: string }) {
  const most = Math.max(0.1, ...rows.map((row) => Math.abs(row.lost?.perShot ?? 0)));
  const table = useTable({ features, columns: columnsFor(system, inside, most), data: rows });
  return (
    <div className={styles.scroll} role="region" aria-label="Strokes lost by shot" tabIndex={0}>
      <Table className={styles.table}>
        <thead>
          {table.getHeaderGroups().map((group) => (
            <tr key={group.id}>
              {group.headers.map((header) => {
                const sorted = header.column.getIsSorted();
                return (
                  <th
                    key={header.id}
                    scope="col"
                    className={NUMERIC.has(header.column.id) ? styles.numeric : undefined}
                    aria-sort={sorted === 'asc' ? 'ascending' : sorted === 'desc' ? 'descending' : 'none'}
                  >
                    <button type="button" onClick={header.column.getToggleSortingHandler()}>
                      <FlexRender header={header} />
                      <span aria-hidden="true">{sorted === 'asc' ? ' ↑' : sorted === 'desc' ? ' ↓' : ''}</span>
                    </button>
                  </th>
                );
              })}
            </tr>
          ))}
        </thead>
        <tbody>
          {table.getRowModel().rows.map((row) => (
            <tr key={row.id} className={row.original.thin ? styles.thin : undefined}>
              {row.getAllCells().map((cell) => (
                <td key={cell.id} className={NUMERIC.has(cell.column.id) ? styles.numeric : undefined}>
                  <FlexRender cell={cell} />
                  {cell.column.id === 'balls' && row.original.thin && <small> thin</small>}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </Table>
    </div>
  );
}
