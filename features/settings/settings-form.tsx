'use client';

import { zodResolver } from '@hookform/resolvers/zod';
import { useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { Controller, FormProvider, useForm, useWatch } from 'react-hook-form';
import { settingsSchema, type Settings } from '@/core/people/account';
import { HALF_LIFE_DAYS } from '@/core/skill/half-life';
import { LengthInput } from '@/ui/length-input';
import { Choice } from '../form/field';
import { FormAlert } from '../form/form-alert';
import { PaceWalk } from '../form/pace-walk';
import { useSave } from '../form/use-save';
import { saveSettings } from './actions';

const OWN = [
  ['paceM', 'Pace'],
  ['clubM', 'Club'],
  ['putterM', 'Putter'],
  ['flagstickM', 'Flagstick'],
] as const;

const HALF_LIVES = [30, HALF_LIFE_DAYS, 120, 240];

type Props = { slug: string; initial: Settings; timeZones: readonly string[] };

export function SettingsForm({ slug, initial, timeZones }: Props) {
  const form = useForm<Settings>({
    resolver: zodResolver(settingsSchema),
    defaultValues: initial,
  });
  const { register, formState } = form;
  const units = useWatch({ control: form.control, name: 'units' });
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
          label="Units"
          register={register('units')}
          error={errors.units?.message}
          options={[
            ['imperial', 'yards and feet'],
            ['metric', 'metres'],
          ]}
        />
        <Choice
          id="time-zone"
          label="Time zone"
          register={register('timeZone')}
          error={errors.timeZone?.message}
          options={timeZones.map((zone) => [zone, zone.replaceAll('_', ' ')] as const)}
        />
        <fieldset className="d-grid gap-2" style={{ gridTemplateColumns: '1fr 1fr' }}>
          <legend className="fs-6 fw-semibold mb-0" style={{ gridColumn: '1 / -1' }}>
            What you measure with, for games set up with the coach’s own
          </legend>
          {OWN.map(([name, label]) => (
            <Controller
              key={name}
              control={form.control}
              name={name}
              render={({ field }) => (
                <LengthInput
                  id={name}
                  label={label}
                  unit={units === 'metric' ? 'm' : 'in'}
                  value={field.value}
                  onChange={field.onChange}
                  onBlur={field.onBlur}
                  inputRef={field.ref}
                  error={errors[name]?.message}
                />
              )}
            />
          ))}
        </fieldset>
        <PaceWalk
          units={units}
          paceM={form.getValues('paceM')}
          onPace={(metres) => form.setValue('paceM', metres, { shouldDirty: true, shouldValidate: true })}
        />
        <Controller
          control={form.control}
          name="halfLifeDays"
          render={({ field }) => (
            <Form.Group controlId="half-life">
              <Form.Label>On the boards, a ball counts half</Form.Label>
              <Form.Select
                ref={field.ref}
                value={field.value ?? 'never'}
                onBlur={field.onBlur}
                onChange={(event) => field.onChange(event.target.value === 'never' ? null : Number(event.target.value))}
              >
                {[...new Set([...HALF_LIVES, ...(field.value === null ? [] : [field.value])])]
                  .sort((a, b) => a - b)
                  .map((days) => (
                    <option key={days} value={days}>
                      after {days} days{days === HALF_LIFE_DAYS ? ' (as it comes)' : ''}
                    </option>
                  ))}
                <option value="never">never less than at first</option>
              </Form.Select>
              <div className="small-print mt-1">Skill drifts: recent balls say more. A short time needs more balls.</div>
            </Form.Group>
          )}
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
