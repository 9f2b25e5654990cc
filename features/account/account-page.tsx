import type { ReactNode } from 'react';
import styles from './account-page.module.scss';

/** The frame of the pages before one is at the desk. */
export function AccountPage({ title, children }: { title: string; children: ReactNode }) {
  return (
    <main className={styles.page}>
      <div className="tape-strip" aria-hidden="true" />
      <div className={styles.box}>
        <p className={styles.name}>Inch Game</p>
        <p className={styles.line}>Design a short game, score every ball, see where you lose strokes.</p>
        <h1 className="mb-3">{title}</h1>
        {children}
      </div>
    </main>
  );
}
