'use client';

import { Button, Form } from 'react-bootstrap';
import { MOST_PLAYERS } from '@/core/exchange/session-start';
import styles from './plan.module.scss';

export type Named = { id: string; name: string };
type Props = { players: readonly Named[]; who: readonly string[]; onChange: (who: readonly string[]) => void };

/** For whom something is planned: one, who can be exchanged, or several, each of whom can be left out. */
export function WhoChoice({ players, who, onChange }: Props) {
  const chosen = who.flatMap((id) => players.find((player) => player.id === id) ?? []);
  const others = players.filter(({ id }) => !who.includes(id));
  const [only] = chosen;
  return (
    <>
      {chosen.length === 1 ? (
        <Form.Select aria-label="For whom" value={only!.id} onChange={(event) => onChange([event.target.value])}>
          {players.map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </Form.Select>
      ) : (
        chosen.map(({ id, name }) => (
          <Button key={id} variant="outline-dark" className={styles.chip} onClick={() => onChange(who.filter((one) => one !== id))}>
            {name} <span aria-hidden="true">×</span>
            <span className="visually-hidden">: leave out</span>
          </Button>
        ))
      )}
      {others.length > 0 && who.length < MOST_PLAYERS && (
        <Form.Select
          aria-label="Another player"
          className={styles.another}
          value=""
          onChange={({ target: { value } }) =>
            onChange(value === 'all' ? players.slice(0, MOST_PLAYERS).map(({ id }) => id) : [...who, value])
          }
        >
          <option value="">+ player</option>
          {others.length > 1 && <option value="all">{players.length <= MOST_PLAYERS ? 'everybody' : `the first ${MOST_PLAYERS}`}</option>}
          {others.map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </Form.Select>
      )}
    </>
  );
}
