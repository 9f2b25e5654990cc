'use client';

import { zodResolver } from '@hookform/resolvers/zod';
import { Form } from 'react-bootstrap';
import { Controller, FormProvider, useForm, useWatch } from 'react-hook-form';
import { sayLevel } from '@/core/golf/level';
import { newPlayer } from '@/core/people/player';
import { LengthInput } from '@/ui/length-input';
import { academySchema, type AcademyForm as AcademyFields } from '@/core/people/account';
import { HandChoice, UnitsChoice } from '../form/choices';
import { Choice, Field } from '../form/field';
import { FormAlert } from '../form/form-alert';
import { useSave } from '../form/use-save';
import { goTo } from '../form/go';
import { Submit } from '../form/submit';
import { makeAcademy } from './actions';
import styles from './account-page.module.scss';

const { level, handed } = newPlayer('', 'imperial');
const localZone = () => Intl.DateTimeFormat().resolvedOptions().timeZone || 'UTC';

/** Makes the academy of somebody who has just signed up: a squad's, or one's own. */
export function AcademyForm() {
  const form = useForm<AcademyFields>({
    resolver: zodResolver(academySchema),
    defaultValues: {
      who: 'squad',
      name: '',
      units: 'imperial',
      timeZone: 'UTC',
      // As it is written: the best levels have a plus.
      level: sayLevel(level) as unknown as number,
      handed,
      paceM: null,
      bag: 'usual',
    },
  });
  const { register, control, formState } = form;
  const { errors, isSubmitting } = formState;
  const [who, units] = useWatch({ control, name: ['who', 'units'] });
  const submit = useSave(
    form,
    (academy) => makeAcademy({ ...academy, timeZone: localZone() }),
    ({ address }) => goTo(address),
  );
  return (
    <FormProvider {...form}>
      <Form noValidate onSubmit={submit} className="d-grid gap-3">
        <fieldset className="d-grid gap-2">
          <legend className="visually-hidden">Who plays?</legend>
          <Form.Check type="radio" id="who-squad" value="squad" defaultChecked label="I coach others" {...register('who')} />
          <Form.Check type="radio" id="who-alone" value="alone" label="I practise alone" {...register('who')} />
        </fieldset>
        {who === 'squad' && (
          <Field id="academy-name" label="Name of the academy" register={register('name')} error={errors.name?.message} />
        )}
        <UnitsChoice id="units" label="Lengths in" register={register('units')} error={errors.units?.message} />
        {who === 'alone' && (
          <div className={styles.two}>
            <Field
              id="level"
              label="Your handicap"
              autoComplete="off"
              register={register('level')}
              error={errors.level?.message}
              hint="About: 0 is scratch, 28 a beginner."
            />
            <HandChoice id="handed" label="You play" register={register('handed')} error={errors.handed?.message} />
            <Choice
              id="bag"
              label="Your clubs"
              register={register('bag')}
              error={errors.bag?.message}
              options={[
                ['usual', 'a standard set'],
                ['later', 'entered later'],
              ]}
            />
            <Controller
              control={control}
              name="paceM"
              render={({ field }) => (
                <LengthInput
                  id="paceM"
                  label="One pace, if you know it"
                  unit={units === 'metric' ? 'm' : 'in'}
                  value={field.value}
                  onChange={field.onChange}
                  onBlur={field.onBlur}
                  inputRef={field.ref}
                  error={errors.paceM?.message}
                />
              )}
            />
          </div>
        )}
        <FormAlert message={errors.root?.message} />
        <Submit size="lg" busy={isSubmitting}>
          Begin
        </Submit>
      </Form>
    </FormProvider>
  );
}
