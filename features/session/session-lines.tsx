import { counted } from '@/core/units/format';
import Link from 'next/link';
import { ballsOf } from '@/core/game/phases';
import { sayChange, sayOutcome } from '@/core/play/outcome';
import type { FinishedLine } from '@/server/data';
import { sayDay, sayMoment } from '@/core/units/say-moment';
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
      {lines.map(({ session, players, balls, outcome, before }) => {
        const { spec } = session;
        const all = ballsOf(spec) * players.length;
        const nameOf = (playerId: string) => players.find((player) => player.playerId === playerId)?.name ?? '';
        const system = players[0]?.units ?? 'imperial';
        const { figure, words } = sayOutcome(spec, outcome, nameOf, system);
        const change = before && sayChange(spec, before, system);
        return (
          <li key={session.sessionId}>
            <Link href={`/a/${slug}/sessions/${session.sessionId}`} className={styles.line}>
              <span>
                {withNames && <b>{players.map((player) => player.name).join(', ')}</b>}
                {withNames && withTitle && ', '}
                {withTitle && spec.title}
                {!withNames && !withTitle && sayDay(session.startedAt, timeZone, now)}
              </span>
              <span className="small-print">
                {sayMoment(session.startedAt, timeZone)} ·{' '}
                {outcome.through ? counted(balls, 'ball') : `${balls} of ${counted(all, 'ball')}, stopped`}
              </span>
            </Link>
            <span className={styles.outcome}>
              <b className="fig">{figure}</b>
              <small>{[words, change].filter(Boolean).join(' · ') || sayDay(session.startedAt, timeZone, now)}</small>
            </span>
          </li>
        );
      })}
    </ul>
  );
}
