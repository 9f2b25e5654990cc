'use client';

import { Button, Form } from 'react-bootstrap';
import { PURPOSES, type Purpose } from '@/core/plan/kinds';
import { asOrderQuery, MINUTES, SAY_PURPOSE, type OrderAsked } from './asked';
import styles from './plan.module.scss';
import { useAsked } from '../form/use-asked';
import { GreenChoice } from '../form/green-choice';
import { WhoChoice, type Named } from './who-choice';

type Props = { asked: OrderAsked; players: readonly Named[]; greens: readonly Named[] };

/** For whom a game is made, as a sentence that is kept in the address: so it can be sent, kept and gone back to. */
export function OrderBar({ asked: answered, players, greens }: Props) {
  const { asked, pending, go } = useAsked(answered, asOrderQuery);
  // Another wish begins with the likeliest games again.
  const wish = (change: Partial<OrderAsked>) => go({ seed: 1, ...change });
  const several = asked.for.length > 1;
  const withMinutes = [...new Set([...MINUTES, asked.minutes])].toSorted((a, b) => a - b);
  return (
    <div className={`${styles.order} no-print`} role="group" aria-label="The order" aria-busy={pending}>
      <WhoChoice players={players} who={asked.for} onChange={(who) => wish({ for: [...who] })} />
      <span>{several ? 'have' : 'has'}</span>
      <Form.Select aria-label="Minutes" value={asked.minutes} onChange={(event) => wish({ minutes: Number(event.target.value) })}>
        {withMinutes.map((minutes) => (
          <option key={minutes} value={minutes}>
            {minutes} minutes
          </option>
        ))}
      </Form.Select>
      <span>on</span>
      <GreenChoice label="Green" greens={greens} greenId={asked.green} onChange={(green) => wish({ green: green ?? undefined })} />
      <span>{several ? 'and want to' : 'and wants to'}</span>
      <Form.Select aria-label="What for" value={asked.what} onChange={(event) => wish({ what: event.target.value as Purpose })}>
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
