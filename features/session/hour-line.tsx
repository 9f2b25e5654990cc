import Link from 'next/link';
import { clockOf, isGoing } from '@/core/hour/run';
import { sayPlainDay } from '@/core/units/plain-day';
import { counted, listed } from '@/core/units/format';
import type { HourRow } from '@/server/data';
import { hourAddress } from '@/core/exchange/play-address';
import styles from './hour-line.module.scss';
import { SAY_KIND } from './say-part';

/** Of more names than these the players are counted. */
const NAMED = 3;

type Props = {
  slug: string;
  row: HourRow;
  /** The day there, and now. */
  today: string;
  now: Date;
};

/** An hour in a line: what, for whom, when, its parts to scale, and how it was done. */
export function HourLine({ slug, row: { hourId, hour, players, run }, today, now }: Props) {
  const who = players.length > NAMED ? counted(players.length, 'player') : listed(players.map(({ name }) => name));
  const going = isGoing(run, now.getTime());
  const past = hour.day !== null && hour.day < today;
  return (
    <li className={styles.hour}>
      <Link href={`/a/${slug}/plan/hour/${hourId}`} className={styles.hourName}>
        <b>{hour.title}</b>
        <span className="small-print">{[who, hour.day && sayPlainDay(hour.day)].filter(Boolean).join(' · ')}</span>
      </Link>
      <span className={styles.bar} aria-hidden="true">
        {hour.parts.map((part) => (
          <span key={part.key} style={{ flexGrow: part.minutes }} title={`${SAY_KIND[part.kind]}, ${part.minutes} min`} />
        ))}
      </span>
      <span className="fig text-nowrap">{hour.minutes} min</span>
      {going || (run === null && !past) ? (
        <a href={hourAddress(slug, hourId)} className={`btn btn-sm ${going ? 'btn-primary' : 'btn-outline-dark'}`}>
          {going ? 'Go on' : 'Start'}
        </a>
      ) : (
        <span className="small-print text-nowrap">{run ? sayDone(run, hour) : 'not done'}</span>
      )}
    </li>
  );
}

function sayDone(run: NonNullable<HourRow['run']>, hour: HourRow['hour']): string {
  return run.endedAt === null ? 'not finished' : `done in ${Math.round(clockOf(run, hour, 0).goneS / 60)} min`;
}
