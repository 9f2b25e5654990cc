'use client';

import { useState } from 'react';
import { Button } from 'react-bootstrap';
import { authCall } from './auth-call';
import { ChangeEmail } from './change-email';

/** The address of the account, and whether somebody said that it is theirs. */
export function EmailState({ email, confirmed }: { email: string; confirmed: boolean }) {
  const [said, setSaid] = useState('');
  const send = async () => {
    setSaid('Sending …');
    const answer = await authCall('send-confirmation', {});
    setSaid(answer.ok ? 'Sent. Open the link in it.' : answer.fields['']!);
  };
  return (
    <section aria-labelledby="email" className="d-grid gap-2">
      <h2 id="email">Your e-mail</h2>
      <p className="m-0">
        <b>{email}</b>: {confirmed ? 'confirmed' : 'not confirmed yet. You can’t invite anybody until it is.'}
      </p>
      {!confirmed && (
        <div className="d-flex flex-wrap gap-3 align-items-center">
          <Button variant="outline-dark" onClick={() => void send()}>
            Send the e-mail again
          </Button>
          <span role="status">{said}</span>
        </div>
      )}
      <ChangeEmail />
    </section>
  );
}
