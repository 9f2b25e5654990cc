'use client';

import { usePathname, useRouter } from 'next/navigation';
import { useOptimistic, useTransition } from 'react';
import { Button, Form } from 'react-bootstrap';
import { MOST_PLAYERS } from '@/core/exchange/session-start';
import { PURPOSES, type Purpose } from '@/core/plan/kinds';
import { asOrderQuery, MINUTES, SAY_PURPOSE, type OrderAsked } from './asked';
import styles from './plan.module.scss';

type Named = { id: string; name: string };
type Props = { asked: OrderAsked; players: readonly Named[]; greens: readonly Named[] };

/** For whom a game is made, as a sentence that is kept in the address: so it can be sent, kept and gone back to. */
export function OrderBar({ asked: answered, players, greens }: Props) {
  const router = useRouter();
  const path = usePathname();
  const [pending, begin] = useTransition();
  // What is chosen counts at once: a second choice may come before the first is answered.
  const [asked, choose] = useOptimistic(answered);
  const go = (change: Partial<OrderAsked>) =>
    begin(() => {
      const next = { ...asked, seed: 1, ...change };
      choose(next);
      router.replace(path + asOrderQuery(next), { scroll: false });
    });
  const chosen = asked.for.flatMap((id) => players.find((player) => player.id === id) ?? []);
  const others = players.filter(({ id }) => !asked.for.includes(id));
  const several = chosen.length > 1;
  const withMinutes = [...new Set([...MINUTES, asked.minutes])].toSorted((a, b) => a - b);
  return (
    <div className={`${styles.order} no-print`} role="group" aria-label="The order" aria-busy={pending}>
      {chosen.map(({ id, name }, i) =>
        several ? (
          <Button
            key={id}
            variant="outline-dark"
            className={styles.chip}
            onClick={() => go({ for: asked.for.filter((one) => one !== id) })}
          >
            {name} <span aria-hidden="true">×</span>
            <span className="visually-hidden">: leave out</span>
          </Button>
        ) : (
          <Form.Select key={i} aria-label="For whom" value={id} onChange={(event) => go({ for: [event.target.value] })}>
            {players.map((player) => (
              <option key={player.id} value={player.id}>
                {player.name}
              </option>
            ))}
          </Form.Select>
        ),
      )}
      {others.length > 0 && (
        <Form.Select
          aria-label="Another player"
          className={styles.another}
          value=""
          onChange={({ target: { value } }) =>
            go({ for: value === 'all' ? players.slice(0, MOST_PLAYERS).map(({ id }) => id) : [...asked.for, value].slice(0, MOST_PLAYERS) })
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
      <span>{several ? 'have' : 'has'}</span>
      <Form.Select aria-label="Minutes" value={asked.minutes} onChange={(event) => go({ minutes: Number(event.target.value) })}>
        {withMinutes.map((minutes) => (
          <option key={minutes} value={minutes}>
            {minutes} minutes
          </option>
        ))}
      </Form.Select>
      <span>on</span>
      <Form.Select aria-label="Green" value={asked.green ?? ''} onChange={(event) => go({ green: event.target.value || undefined })}>
        <option value="">any green</option>
        {greens.map(({ id, name }) => (
          <option key={id} value={id}>
            {name}
          </option>
        ))}
      </Form.Select>
      <span>{several ? 'and want to' : 'and wants to'}</span>
      <Form.Select aria-label="What for" value={asked.what} onChange={(event) => go({ what: event.target.value as Purpose })}>
        {PURPOSES.map((purpose) => (
          <option key={purpose} value={purpose}>
            {SAY_PURPOSE[purpose]}
          </option>
        ))}
      </Form.Select>
      <Button variant="link" className="px-0" onClick={() => go({ seed: asked.seed + 1 })}>
        Other games
      </Button>
    </div>
  );
}
