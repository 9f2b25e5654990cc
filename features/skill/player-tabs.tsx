'use client';

import Link from 'next/link';
import { usePathname } from 'next/navigation';
import styles from './skill.module.scss';

const VIEWS = [
  ['Skills', ''],
  ['Putting', '/putting'],
  ['Over time', '/time'],
  ['Sessions', '/sessions'],
  ['Report', '/report'],
  ['Family', '/family'],
] as const;

/** @param mayChange whether a coach looks; what concerns the family is for coaches */
export function PlayerTabs({ base, mayChange }: { base: string; mayChange: boolean }) {
  const path = usePathname();
  return (
    <nav aria-label="Of this player" className={`${styles.tabs} no-print`}>
      {VIEWS.filter(([name]) => mayChange || name !== 'Family').map(([name, view]) => (
        <Link key={name} href={base + view} aria-current={path === base + view ? 'page' : undefined}>
          {name}
        </Link>
      ))}
    </nav>
  );
}
