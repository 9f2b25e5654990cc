import type { CSSProperties } from 'react';
import Link from 'next/link';
import { subDays } from 'date-fns';
import { counted } from '@/core/units/format';
import { sayDate, sayDay } from '@/core/units/say-moment';
import { requireOwner } from '@/server/actor';
import { Retention } from './retention';
import { sayBackups } from './say-backups';
import styles from './settings.module.scss';

const SHOWN = 50;
const whole = (n: number) => n.toLocaleString('en');
/** A phone that is silent for so many days may have balls that nobody has seen. */
const SILENT_DAYS = 3;

/** What is stored and for how long, when it was backed up, what was refused, and which phones were not heard of. */
export async function StorageRoom({ slug }: { slug: string }) {
  const { data, academy } = await requireOwner(slug);
  const { timeZone, keepYears } = academy;
  const now = new Date();
  const [stored, backups, refused, phones] = await Promise.all([
    data.storageOf(),
    data.lastBackups(),
    data.listRefused(SHOWN),
    data.silentDevices(subDays(now, SILENT_DAYS), SHOWN),
  ]);
  const { players, sessions, balls, bytes, since } = stored;
  const figures = [
    ['Players', whole(players)],
    ['Sessions', whole(sessions)],
    ['Balls', whole(balls)],
    ['Space used', `about ${whole(Math.max(1, Math.round(bytes / 1e6)))} MB`],
  ] as const;
  return (
    <div className="desk" style={{ '--side': '28rem' } as CSSProperties}>
      <section>
        <h1 className="mb-3">Storage and phones</h1>
        <dl className={styles.figures}>
          {figures.map(([what, figure]) => (
            <div key={what}>
              <dt>{what}</dt>
              <dd className="fig">{figure}</dd>
            </div>
          ))}
        </dl>
        {since && <p>The first session is from {sayDate(since, timeZone)}.</p>}
        <Retention slug={slug} keepYears={keepYears} timeZone={timeZone} />
        <section aria-labelledby="backups" className="mt-4">
          <h2 id="backups">Backups</h2>
          <p className="mb-0">{sayBackups(backups, timeZone, now)}</p>
        </section>
      </section>
      <aside>
        <section aria-labelledby="phones">
          <h2 id="phones">Phones not heard from for {SILENT_DAYS} days</h2>
          <p>
            {phones.all === 0
              ? 'No phone has sent a ball yet.'
              : phones.silent.length === 0
                ? `None: ${phones.all === 1 ? 'the one phone or browser' : `all ${phones.all} phones and browsers`} sent balls since.`
                : `${phones.silent.length} of ${phones.all}. One that recorded without a network, and was never opened since, still holds those balls.`}
          </p>
          <ul className="rows">
            {phones.silent.map(({ deviceId, who, firstAt, lastAt }) => (
              <li key={deviceId}>
                <span>
                  <b>{who ?? 'somebody who has left'}</b>
                  <br />
                  <span className="small-print">
                    last heard {sayDay(lastAt, timeZone, now)}, first {sayDay(firstAt, timeZone, now)}
                  </span>
                </span>
              </li>
            ))}
          </ul>
        </section>
        <section aria-labelledby="refused" className="mt-4">
          <h2 id="refused">Balls that were refused</h2>
          <p>
            {refused.length === 0
              ? 'None in the last 90 days.'
              : 'In the last 90 days. The phone still has them: open the session’s menu there, “Not saved”.'}
          </p>
          <ul className="rows">
            {refused.map(({ sessionId, title, who, why, events, at }) => (
              <li key={`${sessionId} ${who} ${why}`}>
                <span>
                  {title === null ? 'A deleted session' : <Link href={`/a/${slug}/sessions/${sessionId}`}>{title}</Link>}:{' '}
                  {counted(events, 'ball')}
                  <br />
                  <span className="small-print">{[why, who && `from ${who}`, sayDay(at, timeZone, now)].filter(Boolean).join(' · ')}</span>
                </span>
              </li>
            ))}
          </ul>
        </section>
      </aside>
    </div>
  );
}
