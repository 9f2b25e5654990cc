'use client';

import { useWaiting } from './device/use-session';
import styles from './play.module.scss';

const WHY = {
  idle: '',
  sending: '',
  unreachable: 'no network',
  failing: 'the server is busy',
  'signed-out': 'sign in to send',
  refused: 'refused by the server',
} as const;

/** A small honest line: how much the server does not have yet, and why. */
export function WaitingLine() {
  const { waiting, aside, unread, why } = useWaiting();
  if (waiting === 0) {
    const trouble = aside > 0 ? `${aside} not saved: see ⋯` : unread > 0 ? `${unread} not shown: reload` : '';
    return (
      <span className={styles.sent} role={trouble ? 'status' : undefined}>
        {trouble || 'all sent'}
      </span>
    );
  }
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
