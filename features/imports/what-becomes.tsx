'use client';

import { useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import type { BadRow, Look } from '@/core/imports/import-file';
import type { Mapping } from '@/core/imports/mapping';
import { counted } from '@/core/units/format';
import { sayMoment } from '@/core/units/say-moment';
import styles from './imports.module.scss';

/** The first rows as they will be saved. */
export function RowsShown({ look, kind, timeZone }: { look: Look; kind: Mapping['kind']; timeZone: string }) {
  if (look.shown.length === 0) return null;
  return (
    <table className={styles.shown} aria-label="The first rows as they will be saved">
      <thead>
        <tr>
          <th scope="col">Row</th>
          <th scope="col">Player</th>
          <th scope="col">{kind === 'balls' ? 'Shot' : 'Game'}</th>
          <th scope="col">{kind === 'balls' ? 'What came of it' : 'Score'}</th>
          <th scope="col">When</th>
        </tr>
      </thead>
      <tbody>
        {look.shown.map(({ line, player, what, came, playedAt }) => (
          <tr key={line}>
            <td className="fig">{line}</td>
            <td>{player}</td>
            <td>{what}</td>
            <td>
              <b>{came}</b>
            </td>
            <td>{sayMoment(new Date(playedAt), timeZone)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

type BadProps = {
  look: Look;
  mapping: Mapping;
  names: readonly string[];
  onCorrect: (line: number, cells: readonly string[]) => void;
  onSave: () => void;
};

/** Rows that can't be kept as they are, with the reason; each can be put right here. */
export function BadRows({ look, mapping, names, onCorrect, onSave }: BadProps) {
  if (look.bad === 0) return null;
  return (
    <section className={styles.bad} aria-label="Rows that can’t be imported">
      <h2>
        {counted(look.bad, 'row')} can’t be imported{' '}
        <small>{look.bad === 1 ? 'Fix it here, or leave it out.' : 'Fix them here, or leave them out.'}</small>
      </h2>
      <ul>
        {look.badRows.map((row) => (
          <BadLine key={`${row.line} ${row.cells.join('\u0001')}`} row={row} mapping={mapping} names={names} onCorrect={onCorrect} />
        ))}
      </ul>
      {look.bad > look.badRows.length && <p className="small-print">The first {look.badRows.length} are shown.</p>}
      <Button variant="link" className="p-0" onClick={onSave}>
        Save these rows as a file, with the reasons
      </Button>
    </section>
  );
}

/** The column of the file in which a field stands; −1 where it stands in none. */
const columnOf = (mapping: Mapping, field: string) => mapping.columns[field] ?? -1;

function BadLine({ row, mapping, names, onCorrect }: Pick<BadProps, 'mapping' | 'names' | 'onCorrect'> & { row: BadRow }) {
  const [cells, setCells] = useState<readonly string[]>(row.cells);
  const columns = [...new Set(row.problems.map(({ field }) => columnOf(mapping, field)))].filter((column) => column >= 0);
  const changed = columns.some((column) => cells[column] !== row.cells[column]);
  return (
    <li>
      <form
        onSubmit={(event) => {
          event.preventDefault();
          if (changed) onCorrect(row.line, cells);
        }}
      >
        <span className={`${styles.line} fig`}>{row.line}</span>
        <div>
          <p>{row.problems.map(({ message }) => message).join(' ')}</p>
          <div className={styles.fix}>
            {columns.map((column) => (
              <label key={column}>
                {names[column]}
                <Form.Control
                  size="sm"
                  value={cells[column] ?? ''}
                  maxLength={500}
                  onChange={({ target }) =>
                    setCells(Array.from({ length: names.length }, (_, i) => (i === column ? target.value : (cells[i] ?? ''))))
                  }
                />
              </label>
            ))}
            {columns.length > 0 && (
              <Button type="submit" size="sm" variant="outline-dark" disabled={!changed}>
                Fix
              </Button>
            )}
          </div>
        </div>
      </form>
    </li>
  );
}
