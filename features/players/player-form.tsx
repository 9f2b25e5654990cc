'use client';

import { zodResolver } from '@hookform/resolvers/zod';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { Button, Form } from 'react-bootstrap';
import { Controller, FormProvider, useFieldArray, useForm, useWatch } from 'react-hook-form';
import { sayLevel } from '@/core/golf/level';
import { USUAL_BAG } from '@/core/golf/usual-bag';
import { playerSchema, type PlayerForm as PlayerFields } from '@/core/people/player';
import { LengthInput } from '@/ui/length-input';
import { HandChoice, UnitsChoice } from '../form/choices';
import { Field } from '../form/field';
import { FormAlert } from '../form/form-alert';
import { asNumber } from '../form/numbers';
import { PaceWalk } from '../form/pace-walk';
import { useSave } from '../form/use-save';
import { newId } from '../form/ids';
import { savePlayerAction } from './actions';
import { Submit } from '../form/submit';
import styles from './players.module.scss';

type Props = {
  slug: string;
  playerId: string;
  initial: PlayerFields;
  /** When what is changed here had been saved; null for a player who is new. */
  savedAt: Date | null;
};

const OWN_LENGTHS = [
  ['paceM', 'One pace'],
  ['clubM', 'Club length'],
  ['putterM', 'Putter length'],
  ['shoeM', 'Shoe length'],
] as const;

/** Who somebody is, as far as the program needs it: a nickname is enough. */
export function PlayerForm({ slug, playerId, initial, savedAt }: Props) {
  const isNew = savedAt === null;
  const form = useForm<PlayerFields>({
    resolver: zodResolver(playerSchema),
    // The best levels are below 0, and written with a plus.
    defaultValues: { ...initial, level: sayLevel(initial.level) as unknown as number },
    // Nothing is red before somebody wants to save; then each field follows what is typed.
    mode: 'onSubmit',
  });
  const { register, control, formState } = form;
  const { errors, isSubmitting } = formState;
  const router = useRouter();
  const { fields, append, remove } = useFieldArray({ control, name: 'clubs', keyName: 'fieldId' });
  const units = useWatch({ control, name: 'units' });
  const lengthUnit = units === 'metric' ? 'm' : 'in';
  const address = `/a/${slug}/players/${playerId}`;
  const submit = useSave(
    form,
    (player) => savePlayerAction(slug, playerId, player, savedAt),
    () => router.push(address),
  );
  return (
    <FormProvider {...form}>
      <Form noValidate onSubmit={submit} className={styles.form}>
        <Field
          id="name"
          label="Name or nickname"
          register={register('name')}
          error={errors.name?.message}
          hint="A nickname will do."
          autoComplete="off"
        />
        <div className={styles.three}>
          <Field
            id="level"
            label="Level"
            autoComplete="off"
            register={register('level')}
            error={errors.level?.message}
            hint="About a handicap: 0 is scratch, 28 a beginner, +5 a tour player."
          />
          <HandChoice id="handed" label="Plays" register={register('handed')} error={errors.handed?.message} />
          <UnitsChoice id="units" label="Units" register={register('units')} error={errors.units?.message} />
        </div>
        <details open={!isNew || Boolean(errors.clubs ?? errors.paceM ?? errors.clubM ?? errors.putterM)}>
          <summary>Own lengths and clubs, if you know them</summary>
          <div className={styles.more}>
            <fieldset>
              <legend>Own lengths</legend>
              <p className="small-print mb-2">For setting up without a tape. Leave empty what hasn’t been measured.</p>
              <div className={styles.three}>
                {OWN_LENGTHS.map(([name, label]) => (
                  <Controller
                    key={name}
                    control={control}
                    name={name}
                    render={({ field }) => (
                      <LengthInput
                        id={name}
                        label={label}
                        unit={lengthUnit}
                        value={field.value}
                        onChange={field.onChange}
                        onBlur={field.onBlur}
                        inputRef={field.ref}
                        error={errors[name]?.message}
                      />
                    )}
                  />
                ))}
              </div>
              <div className="mt-2">
                <PaceWalk
                  units={units}
                  paceM={form.getValues('paceM')}
                  onPace={(metres) => form.setValue('paceM', metres, { shouldDirty: true, shouldValidate: true })}
                />
              </div>
            </fieldset>
            <fieldset>
              <legend>Clubs</legend>
              {fields.length === 0 && (
                <p className="small-print">
                  None yet. You need them only to compare clubs. Until then, a standard set is offered at the green.
                </p>
              )}
              {fields.map((club, i) => (
                <div key={club.fieldId} className={styles.club}>
                  <Field
                    id={`club-${i}-label`}
                    label="Club"
                    register={register(`clubs.${i}.label`)}
                    error={errors.clubs?.[i]?.label?.message}
                    autoComplete="off"
                  />
                  <Field
                    id={`club-${i}-loft`}
                    label="Loft, °"
                    inputMode="decimal"
                    autoComplete="off"
                    register={register(`clubs.${i}.loftDeg`, { setValueAs: asNumber })}
                    error={errors.clubs?.[i]?.loftDeg?.message}
                  />
                  <Button variant="outline-dark" onClick={() => remove(i)}>
                    Remove<span className="visually-hidden"> club {i + 1}</span>
                  </Button>
                </div>
              ))}
              <Button
                variant="outline-dark"
                disabled={fields.length >= 20}
                onClick={() => append({ clubId: newId(), label: '', loftDeg: null })}
              >
                Add club
              </Button>
              {fields.length === 0 && (
                <Button
                  variant="outline-dark"
                  className="ms-2"
                  onClick={() => append(USUAL_BAG.map((club) => ({ clubId: newId(), ...club })))}
                >
                  Add a standard set
                </Button>
              )}
            </fieldset>
          </div>
        </details>
        <FormAlert message={errors.root?.message} />
        <div className="d-flex gap-2">
          <Submit size="lg" busy={isSubmitting}>
            {isNew ? 'Add the player' : 'Save the change'}
          </Submit>
          <Link href={isNew ? `/a/${slug}/players` : address} className="btn btn-outline-dark">
            Cancel
          </Link>
        </div>
      </Form>
    </FormProvider>
  );
}
