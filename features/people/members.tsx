'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { INVITED_ROLES, type InvitedRole } from '@/core/people/invitation';
import { TypedName } from '../form/typed-name';
import { goTo } from '../form/go';
import { handOverAction, removeMemberAction, revokeInvitationAction, saveRoleAction } from './actions';
import styles from './people.module.scss';

export type MemberWords = { userId: string; name: string; email: string; role: 'owner' | InvitedRole; said: string; me: boolean };
export type InvitationWords = { invitationId: string; email: string; said: string };

type Props = { slug: string; academy: string; members: readonly MemberWords[]; owner: boolean };
type Asks = { of: MemberWords; what: 'remove' | 'hand over' } | null;

/** Who works in the academy; for its owner also what they may do, and an end to it. */
export function Members({ slug, academy, members, owner }: Props) {
  const router = useRouter();
  const [asks, setAsks] = useState<Asks>(null);
  const [wrong, setWrong] = useState('');
  const done = (answer: { ok: true } | { ok: false; fields: Record<string, string> } | null) => {
    setAsks(null);
    setWrong(answer === null ? 'No connection. Try again.' : answer.ok ? '' : (answer.fields[''] ?? ''));
    router.refresh();
  };
  const run = (act: Promise<Parameters<typeof done>[0]>) => void act.catch(() => null).then(done);
  return (
    <>
      {wrong && (
        <p role="alert" className="text-danger fw-semibold">
          {wrong}
        </p>
      )}
      <ul className="rows">
        {members.map((one) => (
          <li key={one.userId} className={styles.member}>
            <span>
              <b>{one.name}</b>
              {one.me && ' (you)'}
              <br />
              <span className="small-print">
                {one.email} · {one.said}
              </span>
            </span>
            {owner && !one.me && one.role !== 'owner' ? (
              <span className={styles.does}>
                <Form.Select
                  aria-label={`Role of ${one.name}`}
                  value={one.role}
                  onChange={(event) => run(saveRoleAction(slug, one.userId, event.target.value as InvitedRole))}
                >
                  {INVITED_ROLES.map((role) => (
                    <option key={role}>{role}</option>
                  ))}
                </Form.Select>
                {one.role === 'coach' && (
                  <Button
                    variant="outline-dark"
                    onClick={() => setAsks({ of: one, what: 'hand over' })}
                    aria-label={`Hand over to ${one.name}`}
                  >
                    Hand over …
                  </Button>
                )}
                <Button variant="outline-dark" onClick={() => setAsks({ of: one, what: 'remove' })} aria-label={`Remove ${one.name}`}>
                  Remove …
                </Button>
              </span>
            ) : (
              <span>{one.role}</span>
            )}
            {asks?.of.userId === one.userId && asks.what === 'remove' && (
              <div className={styles.asks}>
                <p>
                  {one.name} loses access to {academy} at once, and their keys stop working. What they recorded stays.
                </p>
                <div className="d-flex gap-2">
                  <Button variant="dark" onClick={() => run(removeMemberAction(slug, one.userId))}>
                    Remove {one.name}
                  </Button>
                  <Button variant="outline-dark" onClick={() => setAsks(null)}>
                    Keep
                  </Button>
                </div>
              </div>
            )}
            {asks?.of.userId === one.userId && asks.what === 'hand over' && (
              <TypedName
                id="hand-over"
                name={academy}
                purpose={`to make ${one.name} its owner`}
                button="Hand over"
                className={styles.asks}
                act={(typed) => handOverAction(slug, one.userId, typed)}
                onDone={() => goTo(`/a/${slug}/settings/people`)}
                onBack={() => setAsks(null)}
              >
                <p>You stay on as a coach. Only the new owner can hand it back.</p>
              </TypedName>
            )}
          </li>
        ))}
      </ul>
    </>
  );
}

/** Invitations that nobody has taken yet. */
export function Invitations({ slug, invitations }: { slug: string; invitations: readonly InvitationWords[] }) {
  const router = useRouter();
  if (invitations.length === 0) return null;
  return (
    <section aria-labelledby="invited" className="mt-4">
      <h2 id="invited">Invitations sent</h2>
      <ul className="rows">
        {invitations.map(({ invitationId, email, said }) => (
          <li key={invitationId}>
            <span>
              <b>{email}</b>
              <br />
              <span className="small-print">{said}</span>
            </span>
            <Button
              variant="outline-dark"
              aria-label={`Cancel the invitation to ${email}`}
              onClick={() => void revokeInvitationAction(slug, invitationId).then(() => router.refresh())}
            >
              Cancel
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
}
