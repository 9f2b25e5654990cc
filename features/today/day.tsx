'use client';

import { useState } from 'react';
import { sayConditions, type Conditions } from '@/core/shot/conditions';
import { saveTodayAction } from '../session/actions';
import { DayFields } from '../session/day-fields';

/** What today is like, said once: every session of the day takes it on. */
export function Day({ slug, conditions }: { slug: string; conditions: Conditions }) {
  const [open, setOpen] = useState(false);
  const [wrong, setWrong] = useState('');
  const said = sayConditions(conditions);
  return (
    <section className="mb-4">
      <h2 className="mb-2">Conditions today</h2>
      {!open ? (
        <p className="mb-0">
          {said || 'None entered.'}{' '}
          <button type="button" className="btn btn-outline-dark btn-sm ms-2" onClick={() => setOpen(true)}>
            {said ? 'Change' : 'Add'}
            <span className="visually-hidden"> what today is like</span>
          </button>
        </p>
      ) : (
        <DayFields
          initial={conditions}
          onKeep={async (next) => {
            const failed = await saveTodayAction(slug, next).then(
              () => false,
              () => true,
            );
            setWrong(failed ? 'Not saved: no connection. Try again.' : '');
            setOpen(failed);
          }}
        />
      )}
      {wrong && (
        <p role="alert" className="text-danger fw-semibold">
          {wrong}
        </p>
      )}
    </section>
  );
}
