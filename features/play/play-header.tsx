'use client';

import type { Bundle, BundlePlayer } from '@/core/game/bundle';
import type { Standing } from '@/core/game/play';
import { ProgressTape } from '@/ui/progress-tape';
import { useWaiting } from './device/use-session';
import styles from './play.module.scss';

/** Who plays what, how far they are, and whether every ball has reached the server. */
export function PlayHeader({ bundle, player, standing }: { bundle: Bundle; player: BundlePlayer; standing: Standing }) {
  return (
    <header>
      <div className={styles.top}>
        <a href={`/a/${bundle.academy.slug}`} aria-label="Leave play, to Today" className={styles.back}>
          ‹
        </a>
        <span className={styles.topName}>
          <b>{player.name}</b> · {bundle.spec.title}
        </span>
        <WaitingLine />
      </div>
      <ProgressTape done={standing.played.length} of={standing.turns} parts={bundle.spec.stations.map((station) => station.balls)} />
    </header>
  );
}

const WHY = {
  idle: '',
  sending: '',
  unreachable: 'no network',
  'signed-out': 'sign in to send',
  refused: 'refused by the server',
} as const;

/** A small honest line: how many balls the server does not have yet, and why. */
function WaitingLine() {
  const { waiting, why } = useWaiting();
  if (waiting === 0) return <span className={styles.sent}>all sent</span>;
  const text = `${waiting} waiting${WHY[why] ? ` · ${WHY[why]}` : ''}`;
  return (
    <span className={styles.sent} role="status">
      {why === 'signed-out' ? (
        <a href={`/sign-in?next=${encodeURIComponent(window.location.pathname + window.location.hash)}`}>{text}</a>
      ) : (
        text
      )}
    </span>
  );
}
