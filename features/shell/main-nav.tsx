'use client';

import Link from 'next/link';
import { usePathname } from 'next/navigation';
import { startAddress } from '@/core/exchange/play-address';
import styles from './shell.module.scss';

const ROOMS = [
  ['Today', ''],
  ['Games', '/games'],
  ['Greens', '/greens'],
  ['Plan', '/plan'],
  ['Players', '/players'],
  ['Logbook', '/logbook'],
  ['Tools', '/tools'],
] as const;
/** What an assistant reads. */
const SHARED: readonly string[] = ['Players', 'Logbook'];

export function MainNav({ slug, mayChange }: { slug: string; mayChange: boolean }) {
  const path = usePathname();
  const base = `/a/${slug}`;
  return (
    <nav aria-label="Rooms" className={styles.nav}>
      {!mayChange && <a href={startAddress(slug)}>Play</a>}
      {ROOMS.filter(([name]) => mayChange || SHARED.includes(name)).map(([name, room]) => {
        const here = room === '' ? path === base : path.startsWith(base + room);
        return (
          <Link key={name} href={base + room} aria-current={here ? 'page' : undefined}>
            {name}
          </Link>
        );
      })}
    </nav>
  );
}
