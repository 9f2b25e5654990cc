import type { ReactNode } from 'react';
import styles from './play.module.scss';

type Props = { lines: readonly string[]; onReady: () => void; children: ReactNode };

/** What somebody reads before they play on: a heading, some lines, and one large key. */
export function Briefing({ lines, onReady, children }: Props) {
  return (
    <main className={styles.briefing}>
      {children}
      <ul>
        {lines.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ul>
      <button type="button" className="btn btn-primary btn-lg" onClick={onReady}>
        Ready
      </button>
    </main>
  );
}
