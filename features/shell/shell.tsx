import Link from 'next/link';
import type { ReactNode } from 'react';
import { MainNav } from './main-nav';
import { SendWaiting } from './send-waiting';
import { SignOut } from './sign-out';
import styles from './shell.module.scss';

type Props = { academy: { slug: string; name: string }; userName: string; children: ReactNode };

/** The frame of every desk page: where one is in the order of the work, and in whose academy. */
export function Shell({ academy, userName, children }: Props) {
  return (
    <>
      <a href="#main" className="visually-hidden-focusable">
        To the page
      </a>
      <header className={`${styles.bar} no-print`}>
        <Link href={`/a/${academy.slug}`} className={styles.name}>
          Inch Game
        </Link>
        <MainNav slug={academy.slug} />
        <div className={styles.who}>
          <Link href={`/a/${academy.slug}/settings`} title="Settings of the academy">
            {academy.name} · {userName}
          </Link>
          <SignOut />
        </div>
      </header>
      <div className="tape-strip no-print" aria-hidden="true" />
      <main id="main">{children}</main>
      <SendWaiting />
    </>
  );
}
