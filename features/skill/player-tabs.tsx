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

export function PlayerTabs({ base }: { base: string }) {
  const path = usePathname();
  return (
    <nav aria-label="Of this player" className={`${styles.tabs} no-print`}>
      {VIEWS.map(([name, view]) => (
        <Link key={name} href={base + view} aria-current={path === base + view ? 'page' : undefined}>
          {name}
        </Link>
      ))}
    </nav>
  );
}
