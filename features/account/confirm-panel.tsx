'use client';

import Link from 'next/link';
import { useState } from 'react';
import { Button } from 'react-bootstrap';
import { useReady } from '../form/use-ready';
import { authCall } from './auth-call';
import { useFragment } from './use-fragment';

/** Takes the link of the e-mail that confirms an address: by a press, since mail programs open links by themselves. */
export function ConfirmPanel() {
  const token = useFragment();
  const ready = useReady();
  const [state, setState] = useState<{ done: true } | { wrong: string } | 'asking' | null>(null);
  const take = async () => {
    setState('asking');
    const answer = await authCall('confirm-email', { token });
    setState(answer.ok ? { done: true } : { wrong: answer.fields['']! });
  };
  if (state !== null && state !== 'asking' && 'done' in state)
    return (
      <>
        <p role="status">Thank you. Your address is confirmed.</p>
        <Link href="/" className="btn btn-primary btn-lg">
          Continue
        </Link>
      </>
    );
  return (
    <div className="d-grid gap-3">
      <p className="m-0">This shows that our e-mail reached you.</p>
      {state !== null && state !== 'asking' && (
        <p role="alert" className="m-0 fw-semibold text-danger">
          {state.wrong} <Link href="/account">Your account</Link>
        </p>
      )}
      <Button size="lg" disabled={!ready || state === 'asking' || !token} onClick={() => void take()}>
        Confirm my address
      </Button>
    </div>
  );
}
