'use client';

import { useWaiting } from './device/use-session';
import styles from './play.module.scss';

const WHY = {
  idle: '',
  sending: '',
  unreachable: 'no network',
  'signed-out': 'sign in to send',
  refused: 'refused by the server',
} as const;

/** A small honest line: how much the server does not have yet, and why. */
export function WaitingLine() {
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
