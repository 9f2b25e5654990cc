'use client';

import { useState } from 'react';
import { Button } from 'react-bootstrap';
import { useFieldArray, useFormContext } from 'react-hook-form';
import { LEAD_IN_KINDS, schemeOf, type Scoring } from '@/core/game/scoring';
import { leadInScoring } from '@/core/game/scoring/simple';
import type { OwnLengths } from '@/core/game/sizes';
import type { GameSpec, LeadIn } from '@/core/game/spec';
import { allStations } from '@/core/game/station';
import { sayOrder } from '@/core/game/words/say-game';
import type { UnitSystem } from '@/core/units/length';
import styles from './designer.module.scss';
import { nextStation } from './new-game';
import { ChoiceField, NumberField, TextField, useFault } from './parts';
import { ScoringFields } from './scoring-fields';
import { StationFields } from './station-fields';
import { useValue } from './values';

type Props = { units: UnitSystem; coach: OwnLengths };

/** Phases before the one that counts: at the same stations or at their own, with their own balls, order and scoring. */
export function LeadInFields({ units, coach }: Props) {
  const { control } = useFormContext<GameSpec>();
  const { fields, append, remove } = useFieldArray({ control, name: 'leadIn', keyName: 'fieldId' });
  const fault = useFault('leadIn');
  const add = (phase: LeadIn) => () => append(phase);
  const full = fields.length >= 3;
  return (
    <div className={styles.phases}>
      {fields.map((field, i) => (
        <fieldset key={field.fieldId} className={styles.phase}>
          <legend className={styles.legend}>Phase {i + 1}, before what counts</legend>
          <Phase index={i} units={units} coach={coach} />
          <Button size="sm" variant="outline-dark" className="mt-2" onClick={() => remove(i)}>
            Remove<span className="visually-hidden"> phase {i + 1}</span>
          </Button>
        </fieldset>
      ))}
      {fault && (
        <p role="alert" className="text-danger fw-semibold">
          {fault}
        </p>
      )}
      <div className="d-flex flex-wrap gap-2">
        <Button size="sm" variant="outline-dark" disabled={full} onClick={add(phase('Find the shot', 3, leadInScoring(units)))}>
          Add a phase
        </Button>
        <Button
          size="sm"
          variant="outline-dark"
          disabled={full}
          onClick={add(phase('Warm up', 5, schemeOf({ scheme: 'unscored' }).fresh(units)))}
        >
          Add a warm-up, not scored
        </Button>
      </div>
    </div>
  );
}

const phase = (title: string, balls: number, scoring: Scoring): LeadIn => ({ title, balls, stations: null, order: 'blocked', scoring });

function Phase({ index, units, coach }: Props & { index: number }) {
  const { setValue, getValues } = useFormContext<GameSpec>();
  const path = `leadIn.${index}` as const;
  const { stations, scoring, balls } = useValue<LeadIn>(path);
  const [chosen, setChosen] = useState<string | null>(null);
  const { countsBalls, orders } = schemeOf(scoring);
  const own = (yes: boolean) => {
    const game = getValues();
    const first = nextStation(game.stations, units, allStations(game));
    setValue(`${path}.stations`, yes ? [{ ...first, hole: '', balls }] : null, { shouldDirty: true });
    setChosen(yes ? first.key : null);
  };
  return (
    <>
      <div className={styles.pair}>
        <TextField path={`${path}.title`} label="Called" maxLength={40} />
        {stations === null && countsBalls && <NumberField path={`${path}.balls`} label="Balls at each" />}
      </div>
      <div className={styles.pair}>
        <div>
          <label className="form-label" htmlFor={`lead-in-${index}-where`}>
            Played at
          </label>
          <select
            id={`lead-in-${index}-where`}
            className="form-select"
            value={stations === null ? 'game' : 'own'}
            onChange={(event) => own(event.target.value === 'own')}
          >
            <option value="game">the game’s stations</option>
            <option value="own">stations of its own</option>
          </select>
        </div>
        {orders.length > 1 && (
          <ChoiceField path={`${path}.order`} label="Order" options={orders.map((order) => [order, sayOrder(order)])} />
        )}
      </div>
      {stations !== null && (
        <div className="mt-2">
          <StationFields path={`${path}.stations`} units={units} coach={coach} chosen={chosen} onChoose={setChosen} plan={null} />
        </div>
      )}
      <div className="mt-2">
        <ScoringFields path={`${path}.scoring`} units={units} only={LEAD_IN_KINDS} />
      </div>
    </>
  );
}
