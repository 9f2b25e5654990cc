'use client';

import { sayConditions } from '@/core/shot/conditions';
import { noteSession } from '../device/sync';
import { DayFields } from '../../session/day-fields';
import type { MenuProps } from './menu-props';
import styles from './session-menu.module.scss';
import { Top } from './top';

/** What the day is like, for this session. */
export function DayPanel({ bundle, onClose }: MenuProps) {
  return (
    <>
      <Top title="The day" onBack={onClose} />
      <div className={styles.list}>
        <p className="mb-0">For this session: {sayConditions(bundle.conditions) || 'None entered yet.'}</p>
        <DayFields
          initial={bundle.conditions}
          onKeep={async (conditions) => {
            await noteSession(bundle.sessionId, { say: 'conditions', conditions });
            onClose();
          }}
        />
      </div>
    </>
  );
}
