'use client';

import { useEffect, useState } from 'react';
import { Form } from 'react-bootstrap';
import { pluralOf, surfacesOf } from '@/core/golf/shot-types';
import { say, SHOT_TYPES, type ShotType, type Surface } from '@/core/golf/words';
import type { Reference } from '@/core/golf/reference';
import type { Strays } from '@/core/tools/strays';
import { usualHere } from '@/core/tools/usual-here';
import { capital, formatLeft } from '@/core/units/format';
import { METRES_PER, type UnitSystem } from '@/core/units/length';
import { LengthInput } from '@/ui/length-input';
import { percent } from '../fields';
import styles from './outlook.module.scss';

type Props = { strays: Strays; who: string; units: UnitSystem };

const SHOTS = SHOT_TYPES.filter((one) => one !== 'putt');
const RADII: Readonly<Record<UnitSystem, readonly number[]>> = { imperial: [3, 6, 10].map((ft) => ft * METRES_PER.ft), metric: [1, 2, 3] };
/** What is usual from here: to calm somebody who thinks that every chip should be stone dead. */
export function UsualPanel({ strays, who, units }: Props) {
  const unit = units === 'metric' ? 'm' : 'yd';
  const [shot, setShot] = useState<{ shotType: ShotType; surface: Surface; distanceM: number | null }>({
    shotType: 'chip',
    surface: 'fairway',
    distanceM: 12 * METRES_PER[unit],
  });
  // The table of the levels is large: it is loaded once it is looked at.
  const [reference, setReference] = useState<Reference | null>(null);
  useEffect(() => void import('@/core/golf/reference').then(({ shippedReference }) => setReference(shippedReference)), []);
  const { shotType, surface, distanceM } = shot;
  const fault = distanceM !== null && distanceM >= 1 && distanceM <= 91.5 ? undefined : 'From 1 to 100 yd (1 to 91 m).';
  const said = reference && !fault ? usualHere(strays, reference, shotType, surface, distanceM!, RADII[units]) : null;
  return (
    <>
      <h2 className="mt-4">What is usual from here</h2>
      <div className={styles.asked}>
        <Form.Group controlId="usual-shot">
          <Form.Label>Shot</Form.Label>
          <Form.Select
            value={shotType}
            onChange={({ target }) => {
              const next = target.value as ShotType;
              setShot({ ...shot, shotType: next, surface: surfacesOf(next).includes(surface) ? surface : surfacesOf(next)[0]! });
            }}
          >
            {SHOTS.map((one) => (
              <option key={one} value={one}>
                {capital(say(one))}
              </option>
            ))}
          </Form.Select>
        </Form.Group>
        <Form.Group controlId="usual-surface">
          <Form.Label>From</Form.Label>
          <Form.Select value={surface} onChange={({ target }) => setShot({ ...shot, surface: target.value as Surface })}>
            {surfacesOf(shotType).map((one) => (
              <option key={one} value={one}>
                {capital(say(one))}
              </option>
            ))}
          </Form.Select>
        </Form.Group>
        <LengthInput
          id="usual-distance"
          label="Distance"
          unit={unit}
          value={distanceM}
          error={fault}
          onChange={(metres) => setShot({ ...shot, distanceM: metres })}
        />
      </div>
      {said && (
        <>
          <p className={styles.usual} role="status">
            Half of {who}’s {pluralOf(shotType)} from here stop outside <b className="fig">{formatLeft(said.medianM, units)}</b>.
          </p>
          <p className="mb-0">
            {said.inside
              .map(({ radiusM, share }) => `${percent(share)} inside ${units === 'metric' ? `${radiusM} m` : formatLeft(radiusM, units)}`)
              .join(', ')}
            . Up and down {percent(said.upAndDown)}.
          </p>
        </>
      )}
    </>
  );
}
