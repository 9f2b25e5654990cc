import Link from 'next/link';
import { counted, listed } from '@/core/units/format';
import { sayPlainDay } from '@/core/units/plain-day';
import { lastDay } from '@/core/weeks/blocks';
import type { WeeksRow } from '@/server/data';
import styles from '../../session/hour-line.module.scss';

/** Of more names than these the players are counted. */
const NAMED = 3;

/** Planned weeks in a line: for whom, until when, how far they are, and the day that comes next. */
export function WeeksLine({ slug, row: { weeksId, weeks, players }, today }: { slug: string; row: WeeksRow; today: string }) {
  const who = players.length > NAMED ? counted(players.length, 'player') : listed(players.map(({ name }) => name));
  const { days, event } = weeks;
  const next = days.find(({ day }) => day >= today);
  const over = days.filter(({ day }) => day < today).length;
  return (
    <li className={styles.hour}>
      <Link href={`/a/${slug}/plan/weeks/${weeksId}`} className={styles.hourName}>
        <b>{weeks.title}</b>
        <span className="small-print">
          {[who, event ? `${event.name}, ${sayPlainDay(event.day)}` : `to ${sayPlainDay(lastDay(weeks))}`].filter(Boolean).join(' · ')}
        </span>
      </Link>
      <span className={styles.bar} aria-hidden="true">
        <span style={{ flexGrow: over }} />
        <span className={styles.left} style={{ flexGrow: days.length - over }} />
      </span>
      <span className="fig text-nowrap">{counted(days.length, 'day')}</span>
      <span className="small-print text-nowrap">{next ? `next ${next.day === today ? 'today' : sayPlainDay(next.day)}` : 'over'}</span>
    </li>
  );
}
