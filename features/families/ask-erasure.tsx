'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { useForm } from 'react-hook-form';
import { Field } from '../form/field';
import { FormAlert } from '../form/form-alert';
import { FormEnd } from '../form/form-end';
import { usePress } from '../form/use-press';
import { useSave } from '../form/use-save';
import { askErasureAction, cancelErasureAction } from './actions';

type Props = {
  slug: string;
  academy: string;
  player: { playerId: string; name: string };
  /** When it was asked for, and what came of it; null: it was not. */
  asked: { on: string; declined: string | null; why: string } | null;
};

/** Asks the academy to erase everything about a player. */
export function AskErasure({ slug, academy, player: { playerId, name }, asked }: Props) {
  const router = useRouter();
  const [open, setOpen] = useState(false);
  const { busy, wrong, press } = usePress();
  const form = useForm({ defaultValues: { words: '' } });
  const { errors, isSubmitting } = form.formState;
  const done = () => {
    setOpen(false);
    router.refresh();
  };
  const submit = useSave(form, (said) => askErasureAction(slug, playerId, said), done);
  if (asked && asked.declined === null)
    return (
      <div className="d-grid gap-2">
        <p className="m-0">
          You asked {academy} on {asked.on} to erase everything about {name}. A coach will do it, or tell you here why not.
        </p>
        <div>
          <Button variant="outline-dark" disabled={busy} onClick={() => void press(() => cancelErasureAction(slug, playerId), done)}>
            Cancel the request
          </Button>
        </div>
        <FormAlert message={wrong} />
      </div>
    );
  return (
    <div className="d-grid gap-2">
      {asked && (
        <p className="m-0">
          {academy} declined on {asked.declined}: “{asked.why}”
        </p>
      )}
      {open ? (
        <Form noValidate onSubmit={submit} className="d-grid gap-2">
          <p className="m-0">Name, balls, notes and plans will be gone for good. A coach will erase them, or tell you why not.</p>
          <Field
            id="erasure-words"
            label="Anything to add? (optional)"
            as="textarea"
            rows={2}
            maxLength={500}
            register={form.register('words')}
            error={errors.words?.message}
          />
          <FormEnd message={errors.root?.message} busy={isSubmitting} onBack={() => setOpen(false)}>
            Send the request
          </FormEnd>
        </Form>
      ) : (
        <div>
          <Button variant="outline-dark" onClick={() => setOpen(true)}>
            Ask to erase everything …
          </Button>
        </div>
      )}
    </div>
  );
}
