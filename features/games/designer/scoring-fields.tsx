'use client';

import { Form } from 'react-bootstrap';
import { useFormContext } from 'react-hook-form';
import type { PlayingOrder } from '@/core/game/rules';
import { SCHEME_KINDS, schemeOf, type SchemeKind, type Scoring } from '@/core/game/scoring';
import type { UnitSystem } from '@/core/units/length';
import { FIELDS } from '../scoring';
import { idOf, useFault } from './parts';
import { useValue, valueOf } from './values';

type Props = {
  path: string;
  units: UnitSystem;
  only?: readonly SchemeKind[];
  /** What is aimed at, drawn between the way of scoring and its figures. */
  plan?: React.ReactNode;
};

/** How it is scored: the way, and what that way needs. */
export function ScoringFields({ path, units, only, plan }: Props) {
  const { setValue, clearErrors, getValues } = useFormContext();
  const scheme = useValue<SchemeKind>(`${path}.scheme`);
  const fault = useFault(path);
  const Fields = FIELDS[scheme];
  const change = (kind: SchemeKind) => {
    clearErrors(path);
    const fresh = schemeOf({ scheme: kind }).fresh(units);
    setValue(path, fresh, { shouldDirty: true });
    if (path === 'scoring') followScheme(fresh, getValues, setValue);
  };
  return (
    <div>
      <Form.Group controlId={`${idOf(path)}-scheme`}>
        <Form.Label>Scored by</Form.Label>
        <Form.Select value={scheme} onChange={(event) => change(event.target.value as SchemeKind)} isInvalid={fault !== undefined}>
          {(only ?? SCHEME_KINDS).map((kind) => (
            <option key={kind} value={kind}>
              {schemeOf({ scheme: kind }).label}
            </option>
          ))}
        </Form.Select>
        <Form.Control.Feedback type="invalid">{fault}</Form.Control.Feedback>
      </Form.Group>
      <p className="small-print mt-1 mb-2">{schemeOf({ scheme }).about}</p>
      {plan}
      <Fields path={path} />
    </div>
  );
}

/** What follows by itself from another way of scoring: balls a station, a par, a carry, an order that it can have. */
function followScheme(
  scoring: Scoring,
  getValues: ReturnType<typeof useFormContext>['getValues'],
  setValue: ReturnType<typeof useFormContext>['setValue'],
) {
  const scheme = schemeOf(scoring);
  const says = (field: 'carryM' | 'par') => scheme.stationSays.includes(field);
  const stations = valueOf<{ balls: number; carryM: number | null; par: number | null; distanceM: number }[]>(getValues, 'stations');
  stations.forEach((station, i) => {
    if (!scheme.countsBalls) setValue(`stations.${i}.balls`, 1);
    if (says('carryM') && station.carryM === null && Number.isFinite(station.distanceM))
      setValue(`stations.${i}.carryM`, Math.round((station.distanceM / 2) * 1e4) / 1e4);
    if (says('par') && station.par === null) setValue(`stations.${i}.par`, 2);
  });
  const balls = stations.reduce((sum, station) => sum + (station.balls || 0), 0);
  const fewest = scheme.fewestBalls(scoring);
  // So that what is asked can be done: about twice as many as it takes at least.
  if (balls < fewest) stations.forEach((_, i) => setValue(`stations.${i}.balls`, Math.ceil((2 * fewest) / stations.length)));
  if (!scheme.orders.includes(valueOf<PlayingOrder>(getValues, 'order'))) setValue('order', 'blocked');
  setValue('goal', null);
}
