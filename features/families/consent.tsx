'use client';

import { zodResolver } from '@hookform/resolvers/zod';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { FormProvider, useForm } from 'react-hook-form';
import { consentSchema, isShortName, shortName, type ConsentForm } from '@/core/people/family';
import { Field } from '../form/field';
import { FormAlert } from '../form/form-alert';
import { FormEnd } from '../form/form-end';
import { usePress } from '../form/use-press';
import { useSave } from '../form/use-save';
import { recordConsentAction, withdrawConsentAction } from './actions';

type Props = {
  slug: string;
  player: { playerId: string; name: string };
  /** What was agreed and holds: "Ada Quill, 3 May 2026, with their own account"; null: nothing is. */
  holds: string | null;
  /** What was agreed before and was withdrawn, the newest first. */
  earlier: readonly string[];
  /** Who could have given it. */
  by: string;
  today: string;
};

/** Whether somebody agreed to what is kept of an under-age player. */
export function Consent({ slug, player, holds, earlier, by, today }: Props) {
  const router = useRouter();
  const [open, setOpen] = useState(false);
  const [sure, setSure] = useState(false);
  const { busy, wrong, press } = usePress();
  const done = () => {
    setOpen(false);
    setSure(false);
    router.refresh();
  };
  return (
    <section aria-labelledby="consent" className="d-grid gap-2">
      <h2 id="consent" className="m-0">
        Consent
      </h2>
      {holds ? (
        <p className="m-0">
          <b>Given</b> by {holds}.
        </p>
      ) : (
        <p className="m-0">
          <b>Not given yet.</b> Until a guardian agrees, only a first name or nickname is kept.
        </p>
      )}
      {!open && !sure && (
        <div>
          {holds ? (
            <Button variant="outline-dark" onClick={() => setSure(true)}>
              Withdraw …
            </Button>
          ) : (
            <Button variant="outline-dark" onClick={() => setOpen(true)}>
              Record consent
            </Button>
          )}
        </div>
      )}
      {sure && (
        <>
          <p className="m-0">
            {!isShortName(player.name) && `${player.name} will be called ${shortName(player.name)}. `}Links to {player.name}’s reports end.
            Results stay.
          </p>
          <div className="d-flex gap-2">
            <Button variant="dark" disabled={busy} onClick={() => void press(() => withdrawConsentAction(slug, player.playerId), done)}>
              Withdraw consent
            </Button>
            <Button variant="outline-dark" onClick={() => setSure(false)}>
              Keep
            </Button>
          </div>
        </>
      )}
      <FormAlert message={wrong} />
      {open && <Editor slug={slug} playerId={player.playerId} initial={{ by, on: today }} onDone={done} onBack={() => setOpen(false)} />}
      {earlier.map((line) => (
        <p key={line} className="small-print m-0">
          {line}
        </p>
      ))}
    </section>
  );
}

type EditorProps = { slug: string; playerId: string; initial: ConsentForm; onDone: () => void; onBack: () => void };

function Editor({ slug, playerId, initial, onDone, onBack }: EditorProps) {
  const form = useForm<ConsentForm>({ resolver: zodResolver(consentSchema), defaultValues: initial });
  const { errors, isSubmitting } = form.formState;
  const submit = useSave(form, (consent) => recordConsentAction(slug, playerId, consent), onDone);
  return (
    <FormProvider {...form}>
      <Form noValidate onSubmit={submit} className="d-grid gap-2" style={{ maxWidth: '24rem' }}>
        <Field
          id="consent-by"
          label="Who gave it"
          autoComplete="off"
          register={form.register('by')}
          error={errors.by?.message}
          hint="In writing, on paper or by e-mail. Keep that."
        />
        <Field id="consent-on" label="On" type="date" register={form.register('on')} error={errors.on?.message} />
        <FormEnd message={errors.root?.message} busy={isSubmitting} onBack={onBack}>
          Save consent
        </FormEnd>
      </Form>
    </FormProvider>
  );
}
