'use client';

import { zodResolver } from '@hookform/resolvers/zod';
import { useRouter } from 'next/navigation';
import { Form } from 'react-bootstrap';
import { FormProvider, useForm } from 'react-hook-form';
import * as z from 'zod';
import { bornYearSchema } from '@/core/people/family';
import { Field } from '../form/field';
import { FormAlert } from '../form/form-alert';
import { asNumber } from '../form/numbers';
import { Submit } from '../form/submit';
import { useSave } from '../form/use-save';
import { saveBornYearAction } from './actions';

type Props = { slug: string; playerId: string; bornYear: number | null; year: number };

/** The year of birth of somebody under age, and of nobody else. */
export function BornYear({ slug, playerId, bornYear, year }: Props) {
  const router = useRouter();
  const form = useForm<{ bornYear: number | null }>({
    resolver: zodResolver(z.strictObject({ bornYear: bornYearSchema(year) })),
    defaultValues: { bornYear },
  });
  const { errors, isSubmitting } = form.formState;
  const submit = useSave(
    form,
    (said) => saveBornYearAction(slug, playerId, said),
    () => router.refresh(),
  );
  return (
    <FormProvider {...form}>
      <Form noValidate onSubmit={submit} className="d-grid gap-2">
        <Field
          id="born-year"
          label="Year of birth, if under 18"
          inputMode="numeric"
          autoComplete="off"
          style={{ width: '8rem' }}
          register={form.register('bornYear', { setValueAs: asNumber })}
          error={errors.bornYear?.message}
          hint="Leave it empty for adults. No birthday is kept."
        />
        <FormAlert message={errors.root?.message} />
        <div>
          <Submit busy={isSubmitting} variant="outline-dark">
            Save
          </Submit>
        </div>
      </Form>
    </FormProvider>
  );
}
