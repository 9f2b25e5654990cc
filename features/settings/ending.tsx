'use client';

import { useTransition } from 'react';
import { Button } from 'react-bootstrap';
import { keepAcademyAction } from './actions';
import styles from './settings.module.scss';

/** On every page of an academy that is about to be deleted: when that is, and for the owner the way back. */
export function Ending({ slug, name, on, mayKeep }: { slug: string; name: string; on: string; mayKeep: boolean }) {
  const [busy, begin] = useTransition();
  return (
    <div role="alert" className={`${styles.ending} no-print`}>
      <p>
        <b>
          {name} will be deleted on {on}
        </b>
        , with all players, games and records.
      </p>
      {mayKeep && (
        <Button variant="light" disabled={busy} onClick={() => begin(async () => void (await keepAcademyAction(slug)))}>
          Keep it
        </Button>
      )}
    </div>
  );
}
