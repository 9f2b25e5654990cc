'use client';

import { Button } from 'react-bootstrap';
import { Controller, useFieldArray, useFormContext, useWatch } from 'react-hook-form';
import { MOST_RINGS } from '@/core/game/scoring/ring-points';
import { freshKey, type GameSpec } from '@/core/game/spec';
import { fromMetres, toMetres } from '@/core/units/length';
import { LengthInput } from '@/ui/length-input';
import { Choice, Field } from '../form/field';
import { asNumber } from '../form/numbers';
import styles from './games.module.scss';

/** The rings from the hole outwards, what each is worth, what holing is worth, and the goal. */
export function RingFields() {
  const { control, register, getValues, setValue, formState } = useFormContext<GameSpec>();
  const { fields, append, remove } = useFieldArray({ control, name: 'scoring.rings', keyName: 'fieldId' });
  const unit = useWatch({ control, name: 'scoring.ringUnit' });
  const errors = formState.errors.scoring;
  const ringsProblem = errors?.rings?.root?.message ?? errors?.rings?.message;

  const addRing = () => {
    const rings = getValues('scoring.rings');
    const last = rings.at(-1);
    const edge = fromMetres(last?.radiusM || 0, unit) || 0;
    append({
      key: freshKey(
        'r',
        rings.map((ring) => ring.key),
      ),
      radiusM: toMetres(edge + (unit === 'ft' ? 3 : 1), unit),
      points: Math.max(0, (last?.points || 1) - 1),
    });
  };
  const changeUnit = (next: 'ft' | 'm') => {
    getValues('scoring.rings').forEach(({ radiusM }, i) => {
      if (Number.isFinite(radiusM)) setValue(`scoring.rings.${i}.radiusM`, toMetres(Number(fromMetres(radiusM, next).toFixed(1)), next));
    });
    setValue('scoring.ringUnit', next);
  };

  return (
    <div>
      <div className={styles.ringHead} aria-hidden="true">
        <span />
        <span>From the hole, {unit === 'm' ? 'metres' : 'feet'}</span>
        <span>Points</span>
      </div>
      <div className={styles.ring}>
        <span className={styles.ringName}>Holed</span>
        <span className={styles.centre}>in the hole</span>
        <Field
          id="holed-points"
          label="Points"
          inputMode="numeric"
          autoComplete="off"
          register={register('scoring.holedPoints', { setValueAs: asNumber })}
          error={errors?.holedPoints?.message}
        />
      </div>
      {fields.map((field, i) => (
        <div key={field.fieldId} className={styles.ring}>
          <span className={styles.ringName}>Ring {i + 1}</span>
          <Controller
            control={control}
            name={`scoring.rings.${i}.radiusM`}
            render={({ field: radius }) => (
              <LengthInput
                id={`ring-${i}-radius`}
                label="From the hole"
                unit={unit}
                value={radius.value}
                onChange={radius.onChange}
                onBlur={radius.onBlur}
                inputRef={radius.ref}
                error={errors?.rings?.[i]?.radiusM?.message}
              />
            )}
          />
          <Field
            id={`ring-${i}-points`}
            label="Points"
            inputMode="numeric"
            autoComplete="off"
            register={register(`scoring.rings.${i}.points`, { setValueAs: asNumber })}
            error={errors?.rings?.[i]?.points?.message}
          />
          <Button variant="outline-dark" size="sm" className={styles.ringRemove} onClick={() => remove(i)}>
            Remove<span className="visually-hidden"> ring {i + 1}</span>
          </Button>
        </div>
      ))}
      {ringsProblem && (
        <p role="alert" className="text-danger fw-semibold">
          {ringsProblem}
        </p>
      )}
      <div className={styles.ringFoot}>
        <Button variant="outline-dark" disabled={fields.length >= MOST_RINGS} onClick={addRing}>
          Add ring
        </Button>
        <Choice
          id="ring-unit"
          label="Rings in"
          options={[
            ['ft', 'feet'],
            ['m', 'metres'],
          ]}
          register={{
            ...register('scoring.ringUnit'),
            onChange: async (event: { target: { value: string } }) => changeUnit(event.target.value as 'ft' | 'm'),
          }}
          value={unit}
        />
        <Field
          id="goal"
          label="Goal, in points"
          inputMode="numeric"
          autoComplete="off"
          placeholder="none"
          register={register('goal', { setValueAs: asNumber })}
          error={formState.errors.goal?.message}
        />
      </div>
    </div>
  );
}
