'use client';

import { zodResolver } from '@hookform/resolvers/zod';
import { useState } from 'react';
import { Form } from 'react-bootstrap';
import { Controller, FormProvider, useForm, useWatch } from 'react-hook-form';
import { settingsSchema, type Settings } from '@/core/people/account';
import { HALF_LIFE_DAYS } from '@/core/skill/half-life';
import { LengthInput } from '@/ui/length-input';
import { UnitsChoice } from '../form/choices';
import { Choice } from '../form/field';
import { FormAlert } from '../form/form-alert';
import { PaceWalk } from '../form/pace-walk';
import { useSave } from '../form/use-save';
import { saveSettings } from './actions';
import { Submit } from '../form/submit';
import styles from './settings.module.scss';

const OWN = [
  ['paceM', 'Pace'],
  ['clubM', 'Club'],
  ['putterM', 'Putter'],
  ['flagstickM', 'Flagstick'],
  ['shoeM', 'Shoe'],
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
      <Form noValidate onSubmit={submit} className={styles.form}>
        <UnitsChoice id="units" label="Units" register={register('units')} error={errors.units?.message} />
        <Choice
          id="time-zone"
          label="Time zone"
          register={register('timeZone')}
          error={errors.timeZone?.message}
          options={timeZones.map((zone) => [zone, zone.replaceAll('_', ' ')] as const)}
        />
        <Choice
          id="strokes-as"
          label="Strokes against a level"
          register={register('strokesAs')}
          error={errors.strokesAs?.message}
          options={[
            ['lost', 'strokes lost (a minus gains)'],
            ['gained', 'strokes gained (a plus gains)'],
          ]}
        />
        <Controller
          control={form.control}
          name="halfLifeDays"
          render={({ field }) => (
            <Form.Group controlId="half-life">
              <Form.Label>Recent shots count more: weight halves</Form.Label>
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
                      every {days} days{days === HALF_LIFE_DAYS ? ' (default)' : ''}
                    </option>
                  ))}
                <option value="never">never: shots of every age count the same</option>
              </Form.Select>
              <div className="small-print mt-1">Skill changes. The shorter the time, the more balls it takes to be sure.</div>
            </Form.Group>
          )}
        />
        <div className={styles.wide}>
          <fieldset className={styles.measures}>
            <legend className="fs-6 fw-semibold mb-0">Your own lengths, for games set up with the coach’s</legend>
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
        </div>
        <FormAlert message={errors.root?.message} />
        <div className={`d-flex gap-3 align-items-center ${styles.wide}`}>
          <Submit busy={isSubmitting}>Save</Submit>
          <span role="status">{saved && !isSubmitting && !errors.root ? 'Saved.' : ''}</span>
        </div>
      </Form>
    </FormProvider>
  );
}
