'use client';

import { Form } from 'react-bootstrap';
import { counted } from '@/core/units/format';
import styles from './imports.module.scss';

/** Who a name of the file is: a player of the academy; null: somebody new. */
export type WhoIsWho = ReadonlyMap<string, string | null>;

type Props = {
  named: readonly { name: string; rows: number }[];
  players: readonly { id: string; name: string }[];
  who: WhoIsWho;
  onChange: (who: WhoIsWho) => void;
};

/** Whom the names of a file mean. */
export function WhoIsWhoTable({ named, players, who, onChange }: Props) {
  if (named.length === 0) return null;
  return (
    <table className={styles.who} aria-label="Who is who">
      <thead>
        <tr>
          <th scope="col">In the file</th>
          <th scope="col">Is</th>
        </tr>
      </thead>
      <tbody>
        {named.map(({ name, rows }) => (
          <tr key={name}>
            <th scope="row">
              {name} <small>{counted(rows, 'row')}</small>
            </th>
            <td>
              <Form.Select
                size="sm"
                aria-label={`Who ${name} is`}
                value={who.get(name) ?? ''}
                onChange={({ target }) => onChange(new Map(who).set(name, target.value || null))}
              >
                <option value="">a new player</option>
                {players.map((player) => (
                  <option key={player.id} value={player.id}>
                    {player.name}
                  </option>
                ))}
              </Form.Select>
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
