'use client';

import { zodResolver } from '@hookform/resolvers/zod';
import { useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { FormProvider, useForm } from 'react-hook-form';
import { settingsSchema, type Settings } from '@/core/people/account';
import { Choice } from '../form/field';
import { FormAlert } from '../form/form-alert';
import { useSave } from '../form/use-save';
import { saveSettings } from './actions';

type Props = { slug: string; initial: Settings; timeZones: readonly string[] };

export function SettingsForm({ slug, initial, timeZones }: Props) {
  const form = useForm<Settings>({
    resolver: zodResolver(settingsSchema),
    defaultValues: initial,
  });
  const { register, formState } = form;
  const [saved, setSaved] = useState(false);
  const { errors, isSubmitting } = formState;
  const submit = useSave(
    form,
    (settings) => saveSettings(slug, settings),
    () => setSaved(true),
  );
  return (
    <FormProvider {...form}>
      <Form noValidate onSubmit={submit} className="d-grid gap-3" style={{ maxWidth: '28rem' }}>
        <Choice
          id="units"
          label="Lengths at the desk in"
          register={register('units')}
          error={errors.units?.message}
          options={[
            ['imperial', 'yards and feet'],
            ['metric', 'metres'],
          ]}
        />
        <Choice
          id="time-zone"
          label="Time zone in which dates are said"
          register={register('timeZone')}
          error={errors.timeZone?.message}
          options={timeZones.map((zone) => [zone, zone.replaceAll('_', ' ')] as const)}
        />
        <FormAlert message={errors.root?.message} />
        <div className="d-flex gap-3 align-items-center">
          <Button type="submit" disabled={isSubmitting}>
            Save
          </Button>
          <span role="status">{saved && !isSubmitting && !errors.root ? 'Saved.' : ''}</span>
        </div>
      </Form>
    </FormProvider>
  );
}
