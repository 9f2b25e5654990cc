import Link from 'next/link';
import { counted, listed } from '@/core/units/format';
import { sayPlainDay } from '@/core/units/plain-day';
import { lastDay } from '@/core/weeks/blocks';
import type { WeeksRow } from '@/server/data';

/** Of more names than these the players are counted. */
const NAMED = 3;

/** Planned weeks in a line: for whom, until when, and the day that comes next. */
export function WeeksLine({ slug, row: { weeksId, weeks, players }, today }: { slug: string; row: WeeksRow; today: string }) {
  const who = players.length > NAMED ? counted(players.length, 'player') : listed(players.map(({ name }) => name));
  const next = weeks.days.find(({ day }) => day >= today);
  const { event } = weeks;
  return (
    <li>
      <Link href={`/a/${slug}/plan/weeks/${weeksId}`} className="flex-grow-1">
        <b className="d-block">{weeks.title}</b>
        <span className="small-print">
          {[who, event ? `up to ${event.name}, ${sayPlainDay(event.day)}` : `to ${sayPlainDay(lastDay(weeks))}`]
            .filter(Boolean)
            .join(' · ')}
        </span>
      </Link>
      <span className="small-print text-nowrap">{next ? `next ${next.day === today ? 'today' : sayPlainDay(next.day)}` : 'over'}</span>
    </li>
  );
}
