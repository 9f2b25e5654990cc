import Link from 'next/link';
import type { Per } from '@/core/board/settle';
import { asQuery, type BoardAsked } from './asked';
import styles from './skill.module.scss';

/** Each shot alike, or each as often as it comes up in a round. */
export function PerSwitch({ asked }: { asked: BoardAsked }) {
  return (
    <div className={`${styles.per} no-print`} role="group" aria-label="Count strokes">
      {(['shot', 'round'] satisfies Per[]).map((per) => (
        <Link key={per} href={asQuery(asked, { per }) || '?'} replace scroll={false} aria-current={asked.per === per ? 'true' : undefined}>
          per {per}
        </Link>
      ))}
    </div>
  );
}
