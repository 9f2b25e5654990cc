'use client';

import { zodResolver } from '@hookform/resolvers/zod';
import { useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { FormProvider, useForm } from 'react-hook-form';
import { changeEmailSchema } from '@/core/people/account';
import { Field } from '../form/field';
import { FormEnd } from '../form/form-end';
import { useSave } from '../form/use-save';
import { authCall } from './auth-call';
import { PasswordField } from './password-field';

/** Beside which field a refusal stands. */
const FIELDS = { INVALID_PASSWORD: 'password' } as const;

/** Another address for the account: it counts once the link that goes there was opened. */
export function ChangeEmail() {
  const [open, setOpen] = useState(false);
  const [sentTo, setSentTo] = useState('');
  const form = useForm({ resolver: zodResolver(changeEmailSchema), defaultValues: { email: '', password: '' } });
  const { errors, isSubmitting } = form.formState;
  const submit = useSave(
    form,
    (asked) => authCall('new-email', asked, FIELDS),
    () => {
      setSentTo(form.getValues('email'));
      form.reset();
      setOpen(false);
    },
  );
  if (!open)
    return (
      <div className="d-flex flex-wrap gap-3 align-items-center">
        <Button variant="outline-dark" onClick={() => setOpen(true)}>
          Change e-mail …
        </Button>
        <span role="status">{sentTo && `Open the link in the e-mail to ${sentTo}. Until then nothing changes.`}</span>
      </div>
    );
  return (
    <FormProvider {...form}>
      <Form noValidate onSubmit={submit} className="d-grid gap-3">
        <Field
          id="new-email"
          label="New e-mail"
          type="email"
          autoComplete="email"
          register={form.register('email')}
          error={errors.email?.message}
        />
        <PasswordField
          id="new-email-password"
          label="Your password"
          register={form.register('password')}
          error={errors.password?.message}
        />
        <FormEnd message={errors.root?.message} busy={isSubmitting} onBack={() => setOpen(false)}>
          Send the link
        </FormEnd>
      </Form>
    </FormProvider>
  );
}
