'use client';

import { useState, useTransition } from 'react';
import { Button, Form } from 'react-bootstrap';
import type { LinkDays } from '@/core/people/link';
import { QrCode } from '@/ui/qr-code';
import { makeLinksAction, revokeLinkAction, type NewLink } from './actions';
import { DaysSelect } from '../../form/days-select';
import styles from './links.module.scss';

export type LinkWords = { linkId: string; made: string; until: string; used: string };

type Props = { slug: string; player: { playerId: string; name: string }; links: LinkWords[]; dead: string | null };

/** The links with which a player opens their own sessions on their own phone, without an account. */
export function PersonalLinks({ slug, player, links, dead }: Props) {
  const [made, setMade] = useState<NewLink | null>(null);
  const [days, setDays] = useState<LinkDays>(30);
  const [busy, begin] = useTransition();
  const [wrong, setWrong] = useState('');
  const make = () =>
    begin(async () => {
      setWrong('');
      const result = await makeLinksAction(slug, [player.playerId], days).catch(() => null);
      const link = result?.ok ? result.links[0] : undefined;
      if (link) setMade(link);
      else setWrong('No link made: no connection. Try again.');
    });
  const shown = made && links.some((link) => link.linkId === made.linkId) ? made : null;
  return (
    <section className={styles.links}>
      <h2>On the player’s own phone</h2>
      <p className="small-print">
        A personal link opens this player’s sessions and results, and nobody else’s. No account, no password: whoever has the link gets in.
      </p>
      {shown && (
        <div className={styles.fresh}>
          <div className={styles.code}>
            <QrCode address={shown.address} label={`Link of ${player.name}`} />
          </div>
          <div>
            <p>
              <b>Point the phone’s camera at it now.</b> It’s shown only once.
            </p>
            <Form.Control readOnly value={shown.address} aria-label="Address of the link" onFocus={(event) => event.target.select()} />
            {dead && (
              <p className="small-print mt-2">
                No phone can open {dead}: start the program with PUBLIC_URL set to the address under which phones reach it.
              </p>
            )}
          </div>
        </div>
      )}
      {links.length > 0 && (
        <ul className="rows">
          {links.map((link) => (
            <li key={link.linkId}>
              <span>
                made {link.made}, until {link.until}
                <br />
                <span className="small-print">{link.used}</span>
              </span>
              <Button
                variant="outline-dark"
                disabled={busy}
                onClick={() => begin(async () => void (await revokeLinkAction(slug, link.linkId)))}
              >
                Revoke<span className="visually-hidden"> the link made {link.made}</span>
              </Button>
            </li>
          ))}
        </ul>
      )}
      <div className={styles.make}>
        <DaysSelect days={days} onDays={setDays} />
        <Button variant="outline-dark" disabled={busy} onClick={make}>
          Make a link
        </Button>
      </div>
      {wrong && (
        <p role="alert" className="text-danger fw-semibold">
          {wrong}
        </p>
      )}
    </section>
  );
}
