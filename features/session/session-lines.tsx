import Link from 'next/link';
import type { FinishedLine } from '@/server/data';
import { sayDay, sayMoment } from '@/core/units/say-moment';
import { resultLine } from './result-line';
import styles from './session.module.scss';

type Props = {
  slug: string;
  lines: FinishedLine[];
  timeZone: string;
  now: Date;
  /** What every line would say again is left out. */
  withNames?: boolean;
  withTitle?: boolean;
};

/** Sessions that are over, one a line, with what came of each. */
export function SessionLines({ slug, lines, timeZone, now, withNames = true, withTitle = true }: Props) {
  return (
    <ul className="rows">
      {lines.map((line) => {
        const { sessionId, who, title, figure, words, change, balls } = resultLine(line);
        const { startedAt } = line.session;
        return (
          <li key={sessionId}>
            <Link href={`/a/${slug}/sessions/${sessionId}`} className={styles.line}>
              <span>
                {withNames && <b>{who}</b>}
                {withNames && withTitle && ', '}
                {withTitle && title}
                {!withNames && !withTitle && sayDay(startedAt, timeZone, now)}
              </span>
              <span className="small-print">
                {sayMoment(startedAt, timeZone)} · {balls}
              </span>
            </Link>
            <span className={styles.outcome}>
              <b className="fig">{figure}</b>
              <small>{[words, change].filter(Boolean).join(' · ') || sayDay(startedAt, timeZone, now)}</small>
            </span>
          </li>
        );
      })}
    </ul>
  );
}
