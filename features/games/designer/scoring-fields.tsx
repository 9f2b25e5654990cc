'use client';

import { useRef } from 'react';
import { useFormContext } from 'react-hook-form';
import type { PlayingOrder } from '@/core/game/rules';
import { SCHEME_KINDS, schemeOf, type SchemeKind, type Scoring } from '@/core/game/scoring';
import { isPutt } from '@/core/golf/shot-types';
import type { ShotType } from '@/core/golf/words';
import type { Station } from '@/core/game/station';
import type { UnitSystem } from '@/core/units/length';
import { FIELDS } from '../scoring';
import { SchemePicture } from '../scoring/picture';
import pictures from '../scoring/picture.module.scss';
import { stationsFor } from './new-game';
import { idOf, useFault } from './parts';
import { useValue, valueOf } from './values';

type Props = {
  path: string;
  units: UnitSystem;
  only?: readonly SchemeKind[];
  /** Scoring, drawn between the way of scoring and its figures. */
  plan?: React.ReactNode;
};

/** How it is scored: the way, and what that way needs. */
export function ScoringFields({ path, units, only, plan }: Props) {
  const { setValue, clearErrors, getValues } = useFormContext();
  const scheme = useValue<SchemeKind>(`${path}.scheme`);
  const fault = useFault(path);
  const Fields = FIELDS[scheme];
  // What was tried before comes back as it was left: the figures, and the balls at each station.
  const tried = useRef(new Map<SchemeKind, { scoring: Scoring; balls: Balls }>());
  const change = (kind: SchemeKind) => {
    clearErrors(path);
    tried.current.set(scheme, { scoring: valueOf<Scoring>(getValues, path), balls: ballsNow(getValues, path) });
    const before = tried.current.get(kind);
    const next = before?.scoring ?? schemeOf({ scheme: kind }).fresh(units, onlyPutts(getValues));
    setValue(path, next, { shouldDirty: true });
    if (path === 'scoring') followScheme(next, before?.balls ?? {}, getValues, setValue);
  };
  return (
    <div>
      <div role="radiogroup" aria-label="Scored by" className={pictures.picker}>
        {(only ?? SCHEME_KINDS).map((kind) => (
          <label key={kind} title={schemeOf({ scheme: kind }).inShort}>
            <input
              type="radio"
              name={`${idOf(path)}-scheme`}
              aria-label={schemeOf({ scheme: kind }).label}
              checked={kind === scheme}
              onChange={() => change(kind)}
            />
            <SchemePicture kind={kind} />
            {schemeOf({ scheme: kind }).label}
          </label>
        ))}
      </div>
      {fault && (
        <p role="alert" className="text-danger fw-semibold mb-0">
          {fault}
        </p>
      )}
      <p className="small-print mt-1 mb-2">{schemeOf({ scheme }).about}</p>
      {plan}
      <Fields path={path} />
    </div>
  );
}

const onlyPutts = (getValues: ReturnType<typeof useFormContext>['getValues']) =>
  valueOf<{ shotType: ShotType }[]>(getValues, 'stations').every(({ shotType }) => isPutt(shotType));

/** Balls at each station, by its key. */
type Balls = Readonly<Record<string, number>>;

function ballsNow(getValues: ReturnType<typeof useFormContext>['getValues'], path: string): Balls {
  if (path !== 'scoring') return {};
  return Object.fromEntries(valueOf<{ key: string; balls: number }[]>(getValues, 'stations').map(({ key, balls }) => [key, balls]));
}

/**
 * What follows by itself from another way of scoring: balls a station, a par, a carry, an order that it can have.
 * @param before the balls that each station had when this way was tried last
 */
function followScheme(
  scoring: Scoring,
  before: Balls,
  getValues: ReturnType<typeof useFormContext>['getValues'],
  setValue: ReturnType<typeof useFormContext>['setValue'],
) {
  const scheme = schemeOf(scoring);
  const stations = valueOf<Station[]>(getValues, 'stations');
  stationsFor(scoring, stations, before).forEach((station, i) => {
    for (const field of ['balls', 'carryM', 'par'] as const)
      if (station[field] !== stations[i]![field]) setValue(`stations.${i}.${field}`, station[field]);
  });
  if (!scheme.orders.includes(valueOf<PlayingOrder>(getValues, 'order'))) setValue('order', 'blocked');
  setValue('goal', null);
}
