'use client';

import Link from 'next/link';
import { usePathname } from 'next/navigation';
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

export function MainNav({ slug }: { slug: string }) {
  const path = usePathname();
  const base = `/a/${slug}`;
  return (
    <nav aria-label="Rooms" className={styles.nav}>
      {ROOMS.map(([name, room]) => {
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
