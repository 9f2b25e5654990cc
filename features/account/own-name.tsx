'use client';

import { zodResolver } from '@hookform/resolvers/zod';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { Form } from 'react-bootstrap';
import { FormProvider, useForm } from 'react-hook-form';
import { ownNameSchema } from '@/core/people/account';
import { Field } from '../form/field';
import { FormAlert } from '../form/form-alert';
import { Submit } from '../form/submit';
import { useSave } from '../form/use-save';
import { authCall } from './auth-call';

/** How others see whoever has the account. */
export function OwnName({ name }: { name: string }) {
  const router = useRouter();
  const form = useForm({ resolver: zodResolver(ownNameSchema), defaultValues: { name } });
  const { errors, isSubmitting } = form.formState;
  const [done, setDone] = useState(false);
  const submit = useSave(
    form,
    (own) => authCall('own-name', own),
    () => {
      setDone(true);
      router.refresh();
    },
  );
  return (
    <section aria-labelledby="own-name-heading">
      <h2 id="own-name-heading">Your name</h2>
      <FormProvider {...form}>
        <Form noValidate onSubmit={submit} className="d-grid gap-3" onChange={() => setDone(false)}>
          <Field id="own-name" label="As others see it" autoComplete="name" register={form.register('name')} error={errors.name?.message} />
          <FormAlert message={errors.root?.message} />
          <div className="d-flex gap-3 align-items-center">
            <Submit variant="outline-dark" busy={isSubmitting}>
              Save name
            </Submit>
            <span role="status">{done && 'Saved.'}</span>
          </div>
        </Form>
      </FormProvider>
    </section>
  );
}
