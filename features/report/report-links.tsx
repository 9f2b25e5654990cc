'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import type { LinkDays } from '@/core/people/link';
import { DaysSelect } from '../form/days-select';
import { NOT_SENT } from '../form/use-save';
import { useReady } from '../form/use-ready';
import { revokeReportAction, shareReportAction, shareSquadReportAction } from './actions';
import styles from './report.module.scss';

type Props = {
  slug: string;
  /** null: of the squad. */
  playerId: string | null;
  asked: Record<string, string>;
  links: readonly { reportId: string; period: string; made: string; until: string }[];
  /** Why an address made here can't be opened elsewhere; null where it can. */
  dead: string | null;
};

/** Links under which a report can be read by whoever has them, until they end. */
export function ReportLinks({ slug, playerId, asked, links, dead }: Props) {
  const ready = useReady();
  const router = useRouter();
  const [days, setDays] = useState<LinkDays>(30);
  const [address, setAddress] = useState('');
  const [wrong, setWrong] = useState('');
  const [busy, setBusy] = useState(false);
  const share = async () => {
    setBusy(true);
    const answer = await (
      playerId === null ? shareSquadReportAction(slug, asked, days) : shareReportAction(slug, playerId, asked, days)
    ).catch(() => null);
    setBusy(false);
    if (!answer?.ok) return setWrong(answer ? Object.values(answer.fields)[0]! : NOT_SENT);
    setWrong('');
    setAddress(answer.address);
    router.refresh();
  };
  return (
    <section aria-label="Links to this report">
      <h2 className="h6">Send it by a link</h2>
      <p className="small-print mb-2">
        Whoever has the link reads this report as it is now{playerId === null && ', with the names of all players'}, and nothing else. You
        can end it at any time.
      </p>
      <fieldset disabled={!ready || busy} className="d-flex flex-wrap gap-2">
        <div>
          <DaysSelect days={days} onDays={setDays} />
        </div>
        <Button variant="dark" onClick={() => void share()}>
          Make a link
        </Button>
      </fieldset>
      {wrong && (
        <p role="alert" className="text-danger fw-semibold mb-0">
          {wrong}
        </p>
      )}
      {address && (
        <div className="mt-2">
          <Form.Control readOnly aria-label="The new link" value={address} onFocus={(event) => event.target.select()} />
          <p className="small-print mb-0">Copy it now: it isn’t shown again.{dead && ` It only opens on this computer: ${dead}.`}</p>
        </div>
      )}
      {links.length > 0 && (
        <ul className={`${styles.links} mt-2`}>
          {links.map(({ reportId, period, made, until }) => (
            <li key={reportId}>
              <span className="small-print">
                {period}, made {made}, until {until}
              </span>
              <Button
                size="sm"
                variant="outline-dark"
                disabled={!ready}
                onClick={() => {
                  void revokeReportAction(slug, reportId).then(() => router.refresh());
                }}
              >
                End it
              </Button>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
