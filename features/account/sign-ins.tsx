'use client';

import { useTransition } from 'react';
import { Button } from 'react-bootstrap';
import { endSignInsAction } from './actions';

export type SignInWords = { id: string; device: string; said: string; here: boolean };

/** Where the account is signed in, each of which can be ended. */
export function SignIns({ signIns }: { signIns: readonly SignInWords[] }) {
  const [busy, begin] = useTransition();
  const end = (id: string | null) => begin(async () => void (await endSignInsAction(id)));
  return (
    <section aria-labelledby="sign-ins">
      <h2 id="sign-ins">Where you’re signed in</h2>
      <ul className="rows">
        {signIns.map(({ id, device, said, here }) => (
          <li key={id}>
            <span>
              <b>{device}</b>
              {here && ', this one'}
              <br />
              <span className="small-print">{said}</span>
            </span>
            {!here && (
              <Button variant="outline-dark" disabled={busy} onClick={() => end(id)} aria-label={`Sign out ${device}, ${said}`}>
                Sign out
              </Button>
            )}
          </li>
        ))}
      </ul>
      {signIns.length > 2 && (
        <Button variant="outline-dark" disabled={busy} onClick={() => end(null)}>
          Sign out everywhere else
        </Button>
      )}
    </section>
  );
}
