'use client';

import { counted } from '@/core/units/format';
import { useState, useTransition } from 'react';
import { Button, Form } from 'react-bootstrap';
import type { LinkDays } from '@/core/people/link';
import { QrCode } from '@/ui/qr-code';
import { PrintButton } from '../../form/print-button';
import { makeLinksAction, type NewLink } from './actions';
import { DaysSelect } from '../../form/days-select';
import styles from './links.module.scss';

type Props = { slug: string; academy: string; players: { playerId: string; name: string }[]; dead: string | null };

/** A card with a personal link for each of several players, to be printed and handed out. */
export function LinkCards({ slug, academy, players, dead }: Props) {
  const [chosen, setChosen] = useState(() => new Set(players.map((player) => player.playerId)));
  const [days, setDays] = useState<LinkDays>(30);
  const [cards, setCards] = useState<NewLink[]>([]);
  const [busy, begin] = useTransition();
  const [wrong, setWrong] = useState('');
  const flip = (playerId: string) =>
    setChosen((now) => {
      const next = new Set(now);
      if (!next.delete(playerId)) next.add(playerId);
      return next;
    });
  const make = () =>
    begin(async () => {
      setWrong('');
      const result = await makeLinksAction(slug, [...chosen], days).catch(() => null);
      const made = result?.ok ? result.links : [];
      if (made.length === 0) setWrong('No links made: no connection. Try again.');
      else setCards(made);
    });
  const nameOf = (playerId: string) => players.find((player) => player.playerId === playerId)?.name ?? '';
  if (cards.length > 0)
    return (
      <>
        <div className="d-flex gap-2 align-items-center no-print mb-3">
          <PrintButton />
          <span className="small-print">These cards are shown only once. If one is lost, revoke it on the player’s page.</span>
        </div>
        <div className={styles.cards}>
          {cards.map((card) => (
            <figure key={card.linkId}>
              <QrCode address={card.address} label={`Link of ${nameOf(card.playerId)}`} />
              <figcaption>
                <b>{nameOf(card.playerId)}</b>
                <span>{academy}, your own games. Keep it to yourself: whoever has this card can record for you.</span>
              </figcaption>
            </figure>
          ))}
        </div>
      </>
    );
  return (
    <div className={styles.choose}>
      <fieldset>
        <legend>For whom?</legend>
        {players.map((player) => (
          <Form.Check
            key={player.playerId}
            id={`card-${player.playerId}`}
            label={player.name}
            checked={chosen.has(player.playerId)}
            onChange={() => flip(player.playerId)}
          />
        ))}
      </fieldset>
      <div className={styles.make}>
        <DaysSelect days={days} onDays={setDays} />
        <Button variant="primary" disabled={busy || chosen.size === 0} onClick={make}>
          Make {counted(chosen.size, 'card')}
        </Button>
      </div>
      {wrong && (
        <p role="alert" className="text-danger fw-semibold">
          {wrong}
        </p>
      )}
      {dead && (
        <p className="small-print mt-2">
          The cards would lead to {dead}, which no phone can open: start the program with PUBLIC_URL set to the address under which phones
          reach it.
        </p>
      )}
    </div>
  );
}
