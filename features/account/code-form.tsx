'use client';

import { zodResolver } from '@hookform/resolvers/zod';
import { Button, Form } from 'react-bootstrap';
import { useForm } from 'react-hook-form';
import { codeSchema } from '@/core/people/account';
import { Field } from '../form/field';
import { FormAlert } from '../form/form-alert';
import { Submit } from '../form/submit';
import { useSave } from '../form/use-save';
import { authCall } from './auth-call';

/** The second step of signing in: a code beside the password. */
export function CodeForm({ onDone, onBack }: { onDone: () => void; onBack: () => void }) {
  const form = useForm({ resolver: zodResolver(codeSchema), defaultValues: { code: '', trustDevice: false } });
  const { errors, isSubmitting } = form.formState;
  const submit = useSave(form, (typed) => authCall('two-factor/verify', typed, { WRONG_CODE: 'code' }), onDone);
  return (
    <Form noValidate onSubmit={submit} className="d-grid gap-3">
      <CodeField register={form.register('code')} error={errors.code?.message} hint="Six digits from your app, or a recovery code." />
      <Form.Check type="checkbox" id="trust" label="Don’t ask on this device for 30 days" {...form.register('trustDevice')} />
      <FormAlert message={errors.root?.message} />
      <Submit size="lg" busy={isSubmitting}>
        Sign in
      </Submit>
      <Button variant="link" className="p-0 me-auto" onClick={onBack}>
        Back
      </Button>
    </Form>
  );
}

type CodeProps = { register: Parameters<typeof Field>[0]['register']; error: string | undefined; hint?: string };

/** A code as an app shows it; the keyboard of a phone is the one for figures only where that is all it can be. */
export function CodeField({ register, error, hint }: CodeProps) {
  return (
    <Field id="code" label="Code" autoComplete="one-time-code" register={register} error={error} {...(hint ? { hint } : {})} autoFocus />
  );
}
