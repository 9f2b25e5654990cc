'use client';

import { zodResolver } from '@hookform/resolvers/zod';
import Link from 'next/link';
import { useState } from 'react';
import { Form } from 'react-bootstrap';
import { useForm } from 'react-hook-form';
import { resetSchema } from '@/core/people/account';
import { FormAlert } from '../form/form-alert';
import { Submit } from '../form/submit';
import { useSave } from '../form/use-save';
import { authCall } from './auth-call';
import { PasswordField } from './password-field';
import { useFragment } from './use-fragment';

/** Takes a new password from whoever opened the link of an e-mail. */
export function ResetForm() {
  const token = useFragment();
  const form = useForm({ resolver: zodResolver(resetSchema), defaultValues: { newPassword: '' } });
  const { errors, isSubmitting } = form.formState;
  const [done, setDone] = useState(false);
  const submit = useSave(
    form,
    (typed) => authCall('reset-password', { ...typed, token }, { COMMON_PASSWORD: 'newPassword' }),
    () => setDone(true),
  );
  if (done)
    return (
      <>
        <p role="status">Password changed. You’re signed out everywhere: sign in with the new one.</p>
        <Link href="/sign-in" className="btn btn-primary btn-lg">
          Sign in
        </Link>
      </>
    );
  if (token === '')
    return (
      <p role="alert">
        Part of this link is missing. Open it from the e-mail again, or <Link href="/forgot">ask for a new one</Link>.
      </p>
    );
  return (
    <Form noValidate onSubmit={submit} className="d-grid gap-3" method="post">
      <PasswordField isNew label="New password" register={form.register('newPassword')} error={errors.newPassword?.message} />
      <FormAlert message={errors.root?.message} />
      <Submit size="lg" busy={isSubmitting}>
        Change password
      </Submit>
      {errors.root && (
        <p className="m-0">
          <Link href="/forgot">Ask for a new link</Link>
        </p>
      )}
    </Form>
  );
}
