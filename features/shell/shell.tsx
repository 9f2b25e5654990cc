import Link from 'next/link';
import type { ReactNode } from 'react';
import { MainNav } from './main-nav';
import { SendWaiting } from './send-waiting';
import { SignOut } from './sign-out';
import styles from './shell.module.scss';

type Props = {
  academy: { slug: string; name: string };
  userName: string;
  /** Whether a coach is at work here; an assistant reads some of the rooms. */
  mayChange: boolean;
  children: ReactNode;
};

/** The frame of every desk page: where one is in the order of the work, and in whose academy. */
export function Shell({ academy, userName, mayChange, children }: Props) {
  const home = `/a/${academy.slug}`;
  return (
    <>
      <a href="#main" className="visually-hidden-focusable">
        To the page
      </a>
      <header className={`${styles.bar} no-print`}>
        <Link href={mayChange ? home : `${home}/players`} className={styles.name}>
          Inch Game
        </Link>
        <MainNav slug={academy.slug} mayChange={mayChange} />
        <div className={styles.who}>
          {mayChange ? (
            <Link href={`${home}/settings`} title="Settings of the academy">
              {academy.name} · {userName}
            </Link>
          ) : (
            <Link href="/account" title="Your account">
              {academy.name} · {userName}
            </Link>
          )}
          <SignOut />
        </div>
      </header>
      <div className="tape-strip no-print" aria-hidden="true" />
      <main id="main">{children}</main>
      <SendWaiting />
    </>
  );
}
