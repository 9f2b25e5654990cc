'use client';

import { zodResolver } from '@hookform/resolvers/zod';
import Link from 'next/link';
import { useState } from 'react';
import { Form } from 'react-bootstrap';
import { useForm } from 'react-hook-form';
import { forgotSchema } from '@/core/people/account';
import { Field } from '../form/field';
import { FormAlert } from '../form/form-alert';
import { Submit } from '../form/submit';
import { useSave } from '../form/use-save';
import { authCall } from './auth-call';

/** Asks for a link with which a new password is chosen. */
export function ForgotForm() {
  const form = useForm({ resolver: zodResolver(forgotSchema), defaultValues: { email: '' } });
  const { errors, isSubmitting } = form.formState;
  const [sentTo, setSentTo] = useState('');
  const submit = useSave(
    form,
    (asked) => authCall('request-password-reset', asked),
    () => setSentTo(form.getValues('email')),
  );
  if (sentTo)
    return (
      <>
        <p role="status">
          If <b>{sentTo}</b> has an account, we’ve sent an e-mail with a link. It works for an hour.
        </p>
        <p>Nothing after a few minutes? Check your spam folder, and that the address is right.</p>
        <Link href="/sign-in">Back to signing in</Link>
      </>
    );
  return (
    <Form noValidate onSubmit={submit} className="d-grid gap-3" method="post">
      <Field
        id="email"
        label="E-mail"
        type="email"
        autoComplete="username"
        register={form.register('email')}
        error={errors.email?.message}
        hint="We’ll send you a link to choose a new password."
      />
      <FormAlert message={errors.root?.message} />
      <Submit size="lg" busy={isSubmitting}>
        Send the link
      </Submit>
      <p className="m-0">
        <Link href="/sign-in">Back to signing in</Link>
      </p>
    </Form>
  );
}
