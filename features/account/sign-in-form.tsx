'use client';

import { zodResolver } from '@hookform/resolvers/zod';
import Link from 'next/link';
import { useState } from 'react';
import { Form } from 'react-bootstrap';
import { useForm } from 'react-hook-form';
import { signInSchema } from '@/core/people/account';
import { Field } from '../form/field';
import { FormAlert } from '../form/form-alert';
import { goTo } from '../form/go';
import { useSave } from '../form/use-save';
import { authCall } from './auth-call';
import { Submit } from '../form/submit';
import { CodeForm } from './code-form';
import { withInvitation } from './own-address';
import { SignInWithPasskey } from './passkey-sign-in';
import { PasswordField } from './password-field';

/** @param next where to go afterwards: an address of this program; @param passkeyHost for which host devices keep passkeys; null: for none */
export function SignInForm({ next, passkeyHost }: { next: string; passkeyHost: string | null }) {
  const form = useForm({ resolver: zodResolver(signInSchema), defaultValues: { email: '', password: '' } });
  const { register, formState } = form;
  const { errors, isSubmitting } = formState;
  const [takesCode, setTakesCode] = useState(false);
  const submit = useSave(
    form,
    (account) => authCall('sign-in/email', account),
    ({ answer }) => ((answer as { twoFactorRedirect?: boolean } | null)?.twoFactorRedirect ? setTakesCode(true) : goTo(next)),
  );
  if (takesCode) return <CodeForm onDone={() => goTo(next)} onBack={() => setTakesCode(false)} />;
  return (
    <Form noValidate onSubmit={submit} className="d-grid gap-3" method="post">
      <Field id="email" label="E-mail" type="email" autoComplete="username" register={register('email')} error={errors.email?.message} />
      <PasswordField register={register('password')} error={errors.password?.message} />
      <FormAlert message={errors.root?.message} />
      <Submit size="lg" busy={isSubmitting}>
        Sign in
      </Submit>
      <SignInWithPasskey host={passkeyHost} onDone={() => goTo(next)} />
      <p className="m-0">
        <Link href="/forgot">Forgot your password?</Link>
      </p>
      <p className="m-0">
        New here? <Link href={withInvitation('/sign-up', next)}>Make an account</Link>
      </p>
    </Form>
  );
}
