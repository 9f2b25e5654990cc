'use client';

import Link from 'next/link';
import { useEffect, useState } from 'react';
import { Button } from 'react-bootstrap';
import { AS_ROLE, type InvitationSaid } from '@/core/people/invitation';
import { goTo } from '../form/go';
import { NOT_SENT } from '../form/use-save';
import { authCall } from '../account/auth-call';
import { INVITATION, withInvitation } from '../account/own-address';

/** While somebody signs in or makes an account, the invitation waits in this tab: it stands in no address that is sent. */
const KEPT = 'inch-invitation';
type Said = InvitationSaid & { signedInAs: string | null };

const ask = (token: string, method: 'GET' | 'POST') =>
  fetch('/api/v1/invitation', { method, headers: { authorization: `Bearer ${token}` }, cache: 'no-store' });

/** An invitation, and what it takes to accept it. */
export function JoinPanel() {
  const [token, setToken] = useState('');
  const [said, setSaid] = useState<Said | null>(null);
  const [wrong, setWrong] = useState('');
  const [busy, setBusy] = useState(false);
  useEffect(() => {
    const load = async () => {
      const given = window.location.hash.slice(1);
      if (given) {
        sessionStorage.setItem(KEPT, given);
        window.history.replaceState(null, '', '/join');
      }
      const held = sessionStorage.getItem(KEPT) ?? '';
      setToken(held);
      const answer = await ask(held, 'GET').catch(() => null);
      const body = answer && ((await answer.json().catch(() => ({}))) as Said & { error?: string });
      if (answer?.ok && body) setSaid(body);
      else setWrong(body?.error ?? NOT_SENT);
    };
    void load();
  }, []);
  const join = async () => {
    setBusy(true);
    const answer = await ask(token, 'POST').catch(() => null);
    const body = answer && ((await answer.json().catch(() => ({}))) as { address?: string; error?: string });
    setBusy(false);
    if (!body?.address) return setWrong(body?.error ?? NOT_SENT);
    sessionStorage.removeItem(KEPT);
    goTo(body.address);
  };
  const out = async () => {
    await authCall('sign-out', {});
    window.location.reload();
  };
  if (wrong)
    return (
      <p role="alert" className="empty">
        {wrong}
      </p>
    );
  if (!said) return <p role="status">One moment …</p>;
  const { academy, by, email, role, player, signedInAs } = said;
  return (
    <div className="d-grid gap-3">
      <p className="m-0">
        {role === 'guardian' ? (
          <>
            {by} invites you to see how <b>{player}</b> is doing at {academy}.
          </>
        ) : (
          <>
            {by} asks you to join <b>{academy}</b> as {AS_ROLE[role]}.
          </>
        )}
      </p>
      {signedInAs === email && (
        <Button size="lg" disabled={busy} onClick={() => void join()}>
          {role === 'guardian' ? 'Accept' : `Join ${academy}`}
        </Button>
      )}
      {signedInAs !== null && signedInAs !== email && (
        <>
          <p className="m-0">
            The invitation went to <b>{email}</b>, and you’re signed in as {signedInAs}.
          </p>
          <Button variant="outline-dark" onClick={() => void out()}>
            Sign out and continue as {email}
          </Button>
        </>
      )}
      {signedInAs === null && (
        <>
          <p className="m-0">
            Sign in or sign up with <b>{email}</b>.
          </p>
          <Link className="btn btn-primary btn-lg" href={withInvitation('/sign-in', INVITATION)}>
            Sign in
          </Link>
          <Link className="btn btn-outline-dark btn-lg" href={withInvitation('/sign-up', INVITATION)}>
            Make an account
          </Link>
        </>
      )}
    </div>
  );
}
