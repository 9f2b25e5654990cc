'use client';

import type { Conflict } from '@/core/green/conflicts';
import { NO_WARNING, sayConflict, WHAT_TO_DO } from '@/core/green/parties';
import { useEditing } from './context';
import styles from './editor.module.scss';

const SHOWN = 3;

/** Who could be hit by whom: the worst three, and how many more. Without any it says that this proves nothing. */
export function ConflictsPanel({ conflicts, asked }: { conflicts: readonly Conflict[]; asked: string }) {
  const { system } = useEditing();
  const more = conflicts.length - SHOWN;
  if (conflicts.length === 0)
    return (
      <p className="small-print mt-3">
        {asked}: no possible conflict found. {NO_WARNING}
      </p>
    );
  return (
    <div className={styles.warning}>
      <b>Possible conflict{conflicts.length > 1 && 's'}.</b> {asked}:
      <ul>
        {conflicts.slice(0, SHOWN).map((conflict, i) => (
          <li key={i} data-level={conflict.level}>
            {sayConflict(conflict, system)}
          </li>
        ))}
      </ul>
      {more > 0 && `${more} more. `}
      {WHAT_TO_DO} {NO_WARNING}
    </div>
  );
}
