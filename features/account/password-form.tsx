'use client';

import { zodResolver } from '@hookform/resolvers/zod';
import { useState } from 'react';
import { Form } from 'react-bootstrap';
import { useForm } from 'react-hook-form';
import { passwordSchema } from '@/core/people/account';
import { FormAlert } from '../form/form-alert';
import { useSave } from '../form/use-save';
import { authCall } from './auth-call';
import { Submit } from '../form/submit';
import { PasswordField } from './password-field';

/** Beside which field a refusal stands. */
const FIELDS = { INVALID_PASSWORD: 'current', WAIT: 'current', COMMON_PASSWORD: 'next' } as const;

/** Another password for the account that is signed in. */
export function PasswordForm() {
  const form = useForm({ resolver: zodResolver(passwordSchema), defaultValues: { current: '', next: '' } });
  const { register, formState, reset } = form;
  const { errors, isSubmitting } = formState;
  const [done, setDone] = useState(false);
  const submit = useSave(
    form,
    (passwords) => authCall('change-password', passwords, FIELDS),
    () => {
      reset();
      setDone(true);
    },
  );
  return (
    <section aria-labelledby="password-heading">
      <h2 id="password-heading">Your password</h2>
      <Form noValidate onSubmit={submit} className="d-grid gap-3" onChange={() => setDone(false)}>
        <PasswordField label="Password now" register={register('current')} error={errors.current?.message} />
        <PasswordField label="New password" isNew register={register('next')} error={errors.next?.message} />
        <FormAlert message={errors.root?.message} />
        <div className="d-flex gap-3 align-items-center">
          <Submit variant="outline-dark" busy={isSubmitting}>
            Change it
          </Submit>
          <span role="status">{done && 'Changed. You’re signed out everywhere else.'}</span>
        </div>
      </Form>
    </section>
  );
}
