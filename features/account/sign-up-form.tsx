'use client';

import { zodResolver } from '@hookform/resolvers/zod';
import Link from 'next/link';
import { Form } from 'react-bootstrap';
import { useForm } from 'react-hook-form';
import { signUpSchema } from '@/core/people/account';
import { Field } from '../form/field';
import { FormAlert } from '../form/form-alert';
import { goTo } from '../form/go';
import { useSave } from '../form/use-save';
import { authCall } from './auth-call';
import { Submit } from '../form/submit';
import { withInvitation } from './own-address';
import { PasswordField } from './password-field';

/** @param next where to go afterwards: an address of this program */
export function SignUpForm({ next = '/begin' }: { next?: string }) {
  const form = useForm({ resolver: zodResolver(signUpSchema), defaultValues: { name: '', email: '', password: '' } });
  const { register, formState } = form;
  const { errors, isSubmitting } = formState;
  const submit = useSave(
    form,
    (account) => authCall('sign-up/email', account, { COMMON_PASSWORD: 'password' }),
    () => goTo(next),
  );
  return (
    <Form noValidate onSubmit={submit} className="d-grid gap-3" method="post">
      <Field id="name" label="Your name" autoComplete="name" register={register('name')} error={errors.name?.message} />
      <Field id="email" label="E-mail" type="email" autoComplete="username" register={register('email')} error={errors.email?.message} />
      <PasswordField isNew register={register('password')} error={errors.password?.message} />
      <FormAlert message={errors.root?.message} />
      <Submit size="lg" busy={isSubmitting}>
        Make the account
      </Submit>
      <p className="m-0">
        Already have one? <Link href={withInvitation('/sign-in', next)}>Sign in</Link>
      </p>
    </Form>
  );
}
