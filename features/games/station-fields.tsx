'use client';

import { Button } from 'react-bootstrap';
import { Controller, useFieldArray, useFormContext, useWatch } from 'react-hook-form';
import { MANY_BALLS, MOST_STATIONS, type GameSpec, type Station } from '@/core/game/spec';
import { say, SHOT_TYPES, SITS, STANCES, SURFACES_OF, TRAJECTORIES } from '@/core/golf/words';
import { fromMetres, toMetres, type UnitSystem } from '@/core/units/length';
import { LengthInput } from '@/ui/length-input';
import { Choice, Field } from '../form/field';
import { asNumber } from '../form/numbers';
import styles from './games.module.scss';
import { nextStation } from './new-game';

const words = (list: readonly string[]) => list.map((word) => [word, say(word)] as const);

/** The stations of the game, in the order of play. */
export function StationFields({ units }: { units: UnitSystem }) {
  const { control, getValues, formState } = useFormContext<GameSpec>();
  const { fields, append, insert, remove, move } = useFieldArray({ control, name: 'stations', keyName: 'fieldId' });
  const problem = formState.errors.stations;
  const none = problem?.root?.message ?? problem?.message;
  return (
    <div>
      <h2 className="mt-3 mb-2">Stations</h2>
      <ol className={styles.stations}>
        {fields.map((field, i) => (
          <li key={field.fieldId} className={styles.station}>
            <StationRow index={i} />
            <div className={styles.stationTools}>
              <Button
                variant="outline-dark"
                size="sm"
                disabled={i === 0}
                onClick={() => move(i, i - 1)}
                aria-label={`Station ${i + 1} earlier`}
              >
                ↑
              </Button>
              <Button
                variant="outline-dark"
                size="sm"
                disabled={i === fields.length - 1}
                onClick={() => move(i, i + 1)}
                aria-label={`Station ${i + 1} later`}
              >
                ↓
              </Button>
              <Button
                variant="outline-dark"
                size="sm"
                onClick={() => {
                  const stations = getValues('stations');
                  insert(i + 1, { ...stations[i]!, key: nextStation(stations, units).key });
                }}
              >
                Copy<span className="visually-hidden"> station {i + 1}</span>
              </Button>
              <Button variant="outline-dark" size="sm" onClick={() => remove(i)}>
                Remove<span className="visually-hidden"> station {i + 1}</span>
              </Button>
            </div>
          </li>
        ))}
      </ol>
      {none && (
        <p role="alert" className="text-danger fw-semibold">
          {none}
        </p>
      )}
      <Button
        variant="outline-dark"
        disabled={fields.length >= MOST_STATIONS}
        onClick={() => append(nextStation(getValues('stations'), units))}
      >
        Add station
      </Button>
    </div>
  );
}

function StationRow({ index }: { index: number }) {
  const { register, control, setValue, getValues, formState, trigger } = useFormContext<GameSpec>();
  const name = `stations.${index}` as const;
  const station = useWatch({ control, name }) as Station | undefined;
  const errors = formState.errors.stations?.[index];
  if (!station) return null;
  const id = (field: string) => `station-${index}-${field}`;

  /** A putt is on the green and in feet, a bunker shot in sand: what can't be otherwise follows by itself. */
  const followShotType = () => {
    const { shotType, surface, distanceUnit } = getValues(name);
    if (!SURFACES_OF[shotType].includes(surface)) setValue(`${name}.surface`, SURFACES_OF[shotType][0]!);
    if (distanceUnit !== 'm') followUnit(shotType === 'putt' ? 'ft' : 'yd');
    if (shotType !== 'bunker' && getValues(`${name}.sit`) === 'buried') setValue(`${name}.sit`, 'clean');
    if (errors) void trigger(name);
  };
  /** Another unit for the same figure: whoever changes it meant the figure. */
  const followUnit = (unit: Station['distanceUnit']) => {
    const { distanceM, distanceUnit } = getValues(name);
    if (unit === distanceUnit) return;
    if (Number.isFinite(distanceM)) setValue(`${name}.distanceM`, toMetres(fromMetres(distanceM, distanceUnit), unit));
    setValue(`${name}.distanceUnit`, unit);
  };

  return (
    <div className={styles.stationGrid}>
      <span className={`${styles.number} fig`} aria-hidden="true">
        {index + 1}
      </span>
      <Choice
        id={id('type')}
        label="Shot"
        className={styles.wide}
        options={words(SHOT_TYPES)}
        register={register(`${name}.shotType`, { onChange: followShotType })}
        error={errors?.shotType?.message}
      />
      <Controller
        control={control}
        name={`${name}.distanceM`}
        render={({ field }) => (
          <LengthInput
            id={id('distance')}
            label="Distance"
            unit={station.distanceUnit}
            value={field.value}
            onChange={field.onChange}
            onBlur={field.onBlur}
            inputRef={field.ref}
            error={errors?.distanceM?.message}
          />
        )}
      />
      <Choice
        id={id('unit')}
        label="Unit"
        options={[
          ['yd', 'yards'],
          ['ft', 'feet'],
          ['m', 'metres'],
        ]}
        register={{
          ...register(`${name}.distanceUnit`),
          onChange: async (event: { target: { value: string } }) => followUnit(event.target.value as Station['distanceUnit']),
        }}
        value={station.distanceUnit}
      />
      <Field
        id={id('balls')}
        label="Balls"
        inputMode="numeric"
        autoComplete="off"
        register={register(`${name}.balls`, { setValueAs: asNumber })}
        error={errors?.balls?.message}
        hint={station.balls > MANY_BALLS ? 'Many at one spot: they block the hole, and a groove is not learning.' : ''}
      />
      <Choice
        id={id('surface')}
        label="From"
        className={styles.wide}
        options={words(SURFACES_OF[station.shotType])}
        register={register(`${name}.surface`)}
        error={errors?.surface?.message}
      />
      <Choice id={id('sit')} label="Ball" options={words(SITS)} register={register(`${name}.sit`)} error={errors?.sit?.message} />
      <Choice
        id={id('stance')}
        label="Stance"
        options={words(STANCES)}
        register={register(`${name}.stance`)}
        error={errors?.stance?.message}
      />
      <Choice
        id={id('trajectory')}
        label="Flight"
        options={[['', 'any'], ...words(TRAJECTORIES)]}
        register={register(`${name}.trajectory`, { setValueAs: (value) => value || null })}
        error={errors?.trajectory?.message}
      />
    </div>
  );
}
