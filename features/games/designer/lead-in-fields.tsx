'use client';

import { Button } from 'react-bootstrap';
import { useFieldArray, useFormContext } from 'react-hook-form';
import { ORDERS } from '@/core/game/rules';
import { SCHEME_KINDS, schemeOf } from '@/core/game/scoring';
import { leadInScoring } from '@/core/game/scoring/simple';
import { sayOrder } from '@/core/game/words/say-game';
import type { GameSpec } from '@/core/game/spec';
import type { UnitSystem } from '@/core/units/length';
import styles from './designer.module.scss';
import { ChoiceField, NumberField, TextField, useFault } from './parts';
import { ScoringFields } from './scoring-fields';

const BEFORE = SCHEME_KINDS.filter((scheme) => schemeOf({ scheme }).leadsIn);

/** Phases before the one that counts: the same stations, with their own balls, order and scoring. */
export function LeadInFields({ units }: { units: UnitSystem }) {
  const { control } = useFormContext<GameSpec>();
  const { fields, append, remove } = useFieldArray({ control, name: 'leadIn', keyName: 'fieldId' });
  const fault = useFault('leadIn');
  return (
    <div className={styles.phases}>
      {fields.map((field, i) => (
        <fieldset key={field.fieldId} className={styles.phase}>
          <legend className={styles.legend}>Phase {i + 1}, before what counts</legend>
          <div className={styles.pair}>
            <TextField path={`leadIn.${i}.title`} label="Called" maxLength={40} />
            <NumberField path={`leadIn.${i}.balls`} label="Balls at each" />
          </div>
          <ChoiceField path={`leadIn.${i}.order`} label="Order" options={ORDERS.map((order) => [order, sayOrder(order)])} />
          <ScoringFields path={`leadIn.${i}.scoring`} units={units} only={BEFORE} />
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
      <Button
        size="sm"
        variant="outline-dark"
        disabled={fields.length >= 3}
        onClick={() => append({ title: 'Find the shot', balls: 3, order: 'blocked', scoring: leadInScoring(units) })}
      >
        Add a phase before it
      </Button>
    </div>
  );
}
