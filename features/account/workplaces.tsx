'use client';

import { useState } from 'react';
import { Button } from 'react-bootstrap';
import { goTo } from '../form/go';
import { TypedName } from '../form/typed-name';
import { leaveAction } from './actions';

export type WorkplaceWords = { slug: string; name: string; role: 'owner' | 'coach' | 'assistant' };

/** The academies in which somebody works, of which all but one's own can be left. */
export function Workplaces({ workplaces }: { workplaces: readonly WorkplaceWords[] }) {
  const [leaving, setLeaving] = useState<string | null>(null);
  if (workplaces.length === 0) return null;
  return (
    <section aria-labelledby="workplaces">
      <h2 id="workplaces">Your academies</h2>
      <ul className="rows">
        {workplaces.map(({ slug, name, role }) => (
          <li key={slug} className="flex-wrap">
            <span>
              <a href={`/a/${slug}`}>
                <b>{name}</b>
              </a>
              <br />
              <span className="small-print">{role}</span>
            </span>
            {role !== 'owner' && leaving !== slug && (
              <Button variant="outline-dark" onClick={() => setLeaving(slug)} aria-label={`Leave ${name} …`}>
                Leave …
              </Button>
            )}
            {leaving === slug && (
              <TypedName
                id={`leave-${slug}`}
                name={name}
                purpose="to leave it"
                button="Leave"
                className="d-grid gap-2 w-100"
                act={(typed) => leaveAction(slug, typed)}
                onDone={() => goTo('/account')}
                onBack={() => setLeaving(null)}
              >
                <p>You lose access until the owner invites you again. What you recorded stays.</p>
              </TypedName>
            )}
          </li>
        ))}
      </ul>
      {workplaces.some(({ role }) => role === 'owner') && (
        <p className="small-print">To leave an academy you own, hand it over first: Settings, Coaches and assistants.</p>
      )}
    </section>
  );
}
