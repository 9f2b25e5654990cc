import Link from 'next/link';
import type { ReactNode } from 'react';
import styles from './account-page.module.scss';

type Props = { title: string; wide?: boolean; children: ReactNode };

/** The frame of the pages before one is at the desk. @param wide where it is more than a form: without what the program is for */
export function AccountPage({ title, wide = false, children }: Props) {
  return (
    <main className={styles.page}>
      <div className="tape-strip" aria-hidden="true" />
      <div className={`${styles.box} ${wide ? styles.wide : ''}`}>
        <p className={styles.name}>Inch Game</p>
        {!wide && <p className={styles.line}>Design a short game, score every ball, see where you lose strokes.</p>}
        <h1 className="mb-3">{title}</h1>
        {children}
        <p className={`${styles.foot} small-print`}>
          <Link href="/privacy">What Inch Game keeps about you</Link>
        </p>
      </div>
    </main>
  );
}
