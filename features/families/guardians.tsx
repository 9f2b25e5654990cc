'use client';

import { zodResolver } from '@hookform/resolvers/zod';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { FormProvider, useForm } from 'react-hook-form';
import { guardianSchema, type GuardianForm } from '@/core/people/family';
import { Field } from '../form/field';
import { FormAlert } from '../form/form-alert';
import { FormEnd } from '../form/form-end';
import { newId } from '../form/ids';
import { usePress } from '../form/use-press';
import { useSave } from '../form/use-save';
import { inviteGuardianAction, removeGuardianAction, revokeGuardianInvitationAction, saveGuardianAction } from './actions';
import styles from './families.module.scss';

type Line = GuardianForm & { guardianId: string; joined: boolean; invitedUntil: string | null };
type Props = { slug: string; player: { playerId: string; name: string }; guardians: readonly Line[] };
const NOBODY: GuardianForm = { name: '', email: '', phone: '' };

/** Who looks after a player at home: whom to call, and who may read along. */
export function Guardians({ slug, player, guardians }: Props) {
  const [editing, setEditing] = useState<string | null>(null);
  const isNew = editing !== null && !guardians.some(({ guardianId }) => guardianId === editing);
  const form = (guardianId: string, initial: GuardianForm) => (
    <Editor key={guardianId} {...{ slug, player, guardianId, initial }} onDone={() => setEditing(null)} />
  );
  return (
    <section aria-labelledby="guardians" className="d-grid gap-2">
      <h2 id="guardians" className="m-0">
        Guardians
      </h2>
      {guardians.length === 0 && !isNew && <p className="m-0">Nobody entered yet. Add a parent, or whoever looks after {player.name}.</p>}
      {guardians.length > 0 && (
        <ul className="rows">
          {guardians.map((one) => (
            <li key={one.guardianId} className={styles.guardian}>
              {editing === one.guardianId ? (
                form(one.guardianId, { name: one.name, email: one.email, phone: one.phone })
              ) : (
                <Guardian slug={slug} player={player} guardian={one} onChange={() => setEditing(one.guardianId)} />
              )}
            </li>
          ))}
        </ul>
      )}
      {isNew && form(editing, NOBODY)}
      {editing === null && (
        <div>
          <Button variant="outline-dark" onClick={() => setEditing(newId())}>
            Add a guardian
          </Button>
        </div>
      )}
    </section>
  );
}

function Guardian({ slug, player, guardian, onChange }: Omit<Props, 'guardians'> & { guardian: Line; onChange: () => void }) {
  const router = useRouter();
  const [removing, setRemoving] = useState(false);
  const { busy, wrong, press } = usePress();
  const { guardianId, name, email, phone, joined, invitedUntil } = guardian;
  const refresh = () => router.refresh();
  return (
    <>
      <span>
        <b>{name}</b>
        <br />
        <span className="small-print">
          {[email, phone].filter(Boolean).join(' · ')}
          <br />
          {joined
            ? `sees ${player.name}’s results with an account`
            : invitedUntil
              ? `invited, until ${invitedUntil}`
              : 'contact only, no account'}
        </span>
      </span>
      <span className={styles.does}>
        {removing ? (
          <>
            <Button variant="dark" disabled={busy} onClick={() => void press(() => removeGuardianAction(slug, guardianId), refresh)}>
              Remove {name}
            </Button>
            <Button variant="outline-dark" onClick={() => setRemoving(false)}>
              Keep
            </Button>
          </>
        ) : (
          <>
            {!joined && email && (
              <Button
                variant="outline-dark"
                disabled={busy}
                onClick={() => void press(() => inviteGuardianAction(slug, guardianId), refresh)}
              >
                {invitedUntil ? 'Invite again' : 'Invite'}
                <span className="visually-hidden"> {name}</span>
              </Button>
            )}
            {invitedUntil && (
              <Button
                variant="outline-dark"
                disabled={busy}
                onClick={() => void press(() => revokeGuardianInvitationAction(slug, guardianId), refresh)}
              >
                Cancel the invitation
              </Button>
            )}
            <Button variant="outline-dark" onClick={onChange} aria-label={`Change ${name}`}>
              Change
            </Button>
            <Button variant="outline-dark" onClick={() => setRemoving(true)} aria-label={`Remove ${name} …`}>
              Remove …
            </Button>
          </>
        )}
      </span>
      <FormAlert message={wrong} />
    </>
  );
}

type EditorProps = { slug: string; player: Props['player']; guardianId: string; initial: GuardianForm; onDone: () => void };

function Editor({ slug, player, guardianId, initial, onDone }: EditorProps) {
  const router = useRouter();
  const form = useForm<GuardianForm>({ resolver: zodResolver(guardianSchema), defaultValues: initial });
  const { errors, isSubmitting } = form.formState;
  const submit = useSave(
    form,
    (guardian) => saveGuardianAction(slug, player.playerId, guardianId, guardian),
    () => {
      router.refresh();
      onDone();
    },
  );
  const { register } = form;
  return (
    <FormProvider {...form}>
      <Form noValidate onSubmit={submit} className={styles.editor}>
        <Field id="guardian-name" label="Name" autoComplete="off" register={register('name')} error={errors.name?.message} />
        <Field
          id="guardian-email"
          label="E-mail"
          type="email"
          autoComplete="off"
          register={register('email')}
          error={errors.email?.message}
        />
        <Field id="guardian-phone" label="Phone" type="tel" autoComplete="off" register={register('phone')} error={errors.phone?.message} />
        <FormEnd message={errors.root?.message} busy={isSubmitting} onBack={onDone}>
          Save guardian
        </FormEnd>
      </Form>
    </FormProvider>
  );
}
