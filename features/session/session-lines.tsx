import { counted } from '@/core/units/format';
import Link from 'next/link';
import { ballsOf } from '@/core/game/phases';
import type { SessionLine } from '@/server/data';
import { sayDay, sayMoment } from '@/core/units/say-moment';
import styles from './session.module.scss';

type Props = { slug: string; lines: SessionLine[]; timeZone: string; now: Date; withNames?: boolean };

/** Sessions that are over, one a line. */
export function SessionLines({ slug, lines, timeZone, now, withNames = true }: Props) {
  return (
    <ul className="rows">
      {lines.map(({ session, players, balls }) => {
        const all = ballsOf(session.spec) * players.length;
        return (
          <li key={session.sessionId}>
            <Link href={`/a/${slug}/sessions/${session.sessionId}`} className={styles.line}>
              <span>
                {withNames && <b>{players.map((player) => player.name).join(', ')}, </b>}
                {session.spec.title}
              </span>
              <span className="small-print">
                {sayMoment(session.startedAt, timeZone)} ·{' '}
                {balls === all ? counted(balls, 'ball') : `${balls} of ${counted(all, 'ball')}, stopped`}
              </span>
            </Link>
            <span className="small-print text-nowrap">{sayDay(session.startedAt, timeZone, now)}</span>
          </li>
        );
      })}
    </ul>
  );
}
