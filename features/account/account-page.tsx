import Link from 'next/link';
import type { ReactNode } from 'react';
import styles from './account-page.module.scss';

type Props = { title: string; wide?: boolean; foot?: ReactNode; children: ReactNode };

const PRIVACY = <Link href="/privacy">What Inch Game keeps about you</Link>;

/** The frame of the pages before one is at the desk. @param wide where it is more than a form: without what the program is for; @param foot what stands last */
export function AccountPage({ title, wide = false, foot = PRIVACY, children }: Props) {
  return (
    <main className={styles.page}>
      <div className="tape-strip" aria-hidden="true" />
      <div className={`${styles.box} ${wide ? styles.wide : ''}`}>
        <p className={styles.name}>Inch Game</p>
        {!wide && <p className={styles.line}>Design a short game, score every ball, see where you lose strokes.</p>}
        <h1 className="mb-3">{title}</h1>
        {children}
        <p className={`${styles.foot} small-print`}>{foot}</p>
      </div>
    </main>
  );
}
