'use client';

import { zodResolver } from '@hookform/resolvers/zod';
import { Button, Form } from 'react-bootstrap';
import { useForm, useWatch } from 'react-hook-form';
import { academySchema, type AcademyForm as AcademyFields } from '@/core/people/account';
import { Choice, Field } from '../form/field';
import { FormAlert } from '../form/form-alert';
import { useSave } from '../form/use-save';
import { goTo } from '../form/go';
import { makeAcademy } from './actions';

const localZone = () => Intl.DateTimeFormat().resolvedOptions().timeZone || 'UTC';

/** Makes the academy of somebody who has just signed up: a squad's, or one's own. */
export function AcademyForm() {
  const form = useForm<AcademyFields>({
    resolver: zodResolver(academySchema),
    defaultValues: { who: 'squad', name: '', units: 'imperial', timeZone: 'UTC' },
  });
  const { register, control, formState } = form;
  const { errors, isSubmitting } = formState;
  const who = useWatch({ control, name: 'who' });
  const submit = useSave(
    form,
    (academy) => makeAcademy({ ...academy, timeZone: localZone() }),
    ({ address }) => goTo(address),
  );
  return (
    <Form noValidate onSubmit={submit} className="d-grid gap-3">
      <fieldset className="d-grid gap-2">
        <legend className="fs-6">Who plays?</legend>
        <Form.Check type="radio" id="who-squad" value="squad" defaultChecked label="I coach others" {...register('who')} />
        <Form.Check type="radio" id="who-alone" value="alone" label="I practise alone" {...register('who')} />
      </fieldset>
      {who === 'squad' && <Field id="academy-name" label="Name of the academy" register={register('name')} error={errors.name?.message} />}
      <Choice
        id="units"
        label="Lengths in"
        register={register('units')}
        error={errors.units?.message}
        options={[
          ['imperial', 'yards and feet'],
          ['metric', 'metres'],
        ]}
      />
      <FormAlert message={errors.root?.message} />
      <Button type="submit" size="lg" disabled={isSubmitting}>
        Begin
      </Button>
    </Form>
  );
}
