'use client';

import { useRouter } from 'next/navigation';
import Link from 'next/link';
import { useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { useForm } from 'react-hook-form';
import { Field } from '../form/field';
import { FormEnd } from '../form/form-end';
import { useSave } from '../form/use-save';
import { declineErasureAction } from './actions';
import styles from './families.module.scss';

type Props = {
  slug: string;
  player: { playerId: string; name: string };
  /** null: the player themselves. */ who: string | null;
  on: string;
  words: string;
};

/** That somebody asks for a player to be erased, and the two answers to it. */
export function AnswerErasure({ slug, player: { playerId, name }, who, on, words }: Props) {
  const router = useRouter();
  const [open, setOpen] = useState(false);
  const form = useForm({ defaultValues: { why: '' } });
  const { errors, isSubmitting } = form.formState;
  const submit = useSave(
    form,
    (said) => declineErasureAction(slug, playerId, said),
    () => router.refresh(),
  );
  return (
    <section aria-labelledby="asked" className={styles.asked}>
      <h2 id="asked" className="m-0">
        {who === null ? `${name} asks to be erased` : `${who} asks to erase ${name}`}
      </h2>
      <p className="m-0">
        Asked {on}
        {words ? `: “${words}”` : '.'}
      </p>
      {open ? (
        <Form noValidate onSubmit={submit} className="d-grid gap-2">
          <Field
            id="why"
            label="Reason, which they will see"
            as="textarea"
            rows={2}
            maxLength={500}
            register={form.register('why')}
            error={errors.why?.message}
          />
          <FormEnd message={errors.root?.message} busy={isSubmitting} onBack={() => setOpen(false)}>
            Decline
          </FormEnd>
        </Form>
      ) : (
        <div className="d-flex gap-2">
          <Link className="btn btn-dark" href={`/a/${slug}/players/${playerId}/edit#leave`}>
            Erase {name} …
          </Link>
          <Button variant="outline-dark" onClick={() => setOpen(true)}>
            Decline …
          </Button>
        </div>
      )}
    </section>
  );
}
