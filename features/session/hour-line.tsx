import Link from 'next/link';
import { clockOf } from '@/core/hour/run';
import { counted, listed } from '@/core/units/format';
import type { HourRow } from '@/server/data';
import { hourAddress } from './address';
import styles from './hour-line.module.scss';
import { SAY_KIND } from './say-part';

/** Of more names than these the players are counted. */
const NAMED = 3;

/** An hour in a line: what, for whom, when, its parts to scale, and how it was done. */
export function HourLine({ slug, row: { hourId, hour, players, run } }: { slug: string; row: HourRow }) {
  const who = players.length > NAMED ? counted(players.length, 'player') : listed(players.map(({ name }) => name));
  return (
    <li className={styles.hour}>
      <Link href={`/a/${slug}/plan/hour/${hourId}`} className={styles.hourName}>
        <b>{hour.title}</b>
        <span className="small-print">{[who, hour.day && sayDay(hour.day)].filter(Boolean).join(' · ')}</span>
      </Link>
      <span className={styles.bar} aria-hidden="true">
        {hour.parts.map((part) => (
          <span key={part.key} style={{ flexGrow: part.minutes }} title={`${SAY_KIND[part.kind]}, ${part.minutes} min`} />
        ))}
      </span>
      <span className="fig text-nowrap">{hour.minutes} min</span>
      {run && run.endedAt !== null ? (
        <span className="small-print text-nowrap">done in {Math.round(clockOf(run, hour, 0).goneS / 60)} min</span>
      ) : (
        <a href={hourAddress(slug, hourId)} className={`btn btn-sm ${run ? 'btn-primary' : 'btn-outline-dark'}`}>
          {run ? 'Go on' : 'Start'}
        </a>
      )}
    </li>
  );
}

const sayDay = (day: string) =>
  new Intl.DateTimeFormat('en-GB', { weekday: 'short', day: 'numeric', month: 'short', timeZone: 'UTC' }).format(new Date(day));
