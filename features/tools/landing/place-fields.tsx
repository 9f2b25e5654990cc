'use client';

import { useState } from 'react';
import { Form } from 'react-bootstrap';
import { FIRMNESSES, say, SITS, STANCES, SURFACES } from '@/core/golf/words';
import { landingPlaceSchema, type LandingPlace } from '@/core/tools/landing-place';
import { capital, formatLength } from '@/core/units/format';
import type { UnitSystem } from '@/core/units/length';
import { LengthInput } from '@/ui/length-input';
import { PERCENT_RIGHT, PERCENT_UPHILL, STIMP, windUnit } from '../fields';
import styles from './landing.module.scss';

type Props = {
  place: LandingPlace;
  units: UnitSystem;
  /** A green's plan says where it lies: only the day can be changed. */
  planned: boolean;
  /** Takes a place that makes sense. */
  onChange: (place: LandingPlace) => void;
};
type Typed = { [Key in keyof LandingPlace]: LandingPlace[Key] extends number ? number | null : LandingPlace[Key] };
/** What is chosen of a few words; the rest are figures. */
type Words = 'lie' | 'sit' | 'stance' | 'firmness';

/** What is typed about a place; the figures that are wrong stand beside their fields, and the last good place stays. */
export function PlaceFields({ place, units, planned, onChange }: Props) {
  const [typed, setTyped] = useState<{ of: LandingPlace; values: Typed }>({ of: place, values: place });
  // Another place from outside, such as another station, shows anew.
  if (typed.of !== place) setTyped({ of: place, values: place });
  const { values } = typed;
  const read = landingPlaceSchema.safeParse(values);
  const faultOf = (key: keyof LandingPlace) => read.error?.issues.find(({ path }) => path[0] === key)?.message;
  const set = (change: Partial<Typed>) => {
    const next = { ...values, ...change };
    const good = landingPlaceSchema.safeParse(next);
    setTyped({ of: good.success ? good.data : place, values: next });
    if (good.success) onChange(good.data);
  };
  const metric = units === 'metric';
  const [far, near] = metric ? (['m', 'm'] as const) : (['yd', 'ft'] as const);
  const field = (key: Exclude<keyof LandingPlace, Words>, label: string, unit: React.ComponentProps<typeof LengthInput>['unit']) => (
    <LengthInput
      id={`place-${key}`}
      label={label}
      value={values[key]}
      unit={unit}
      error={faultOf(key)}
      onChange={(value) => set({ [key]: value })}
    />
  );
  const choice = <Key extends Words>(key: Key, label: string, options: readonly LandingPlace[Key][]) => (
    <Form.Group controlId={`place-${key}`} className={key === 'stance' ? styles.wide : undefined}>
      <Form.Label>{label}</Form.Label>
      <Form.Select value={String(values[key])} onChange={({ target }) => set({ [key]: target.value as LandingPlace[Key] })}>
        {options.map((one) => (
          <option key={one} value={one}>
            {capital(say(one))}
          </option>
        ))}
      </Form.Select>
    </Form.Group>
  );
  const lie = choice(
    'lie',
    'Lie',
    SURFACES.filter((one) => one !== 'green'),
  );
  const sit = choice(
    'sit',
    'Ball',
    SITS.filter((one) => one !== 'buried'),
  );
  const stance = choice('stance', 'Stance', STANCES);
  const day = (
    <>
      {field('stimpFt', 'Green speed', STIMP)}
      {choice('firmness', 'Green', FIRMNESSES)}
    </>
  );
  const wrongBelow = (['sideSlope', 'beyondM', 'fringeM', 'riseM', 'stimpFt', 'windMs'] as const).some((key) => faultOf(key));
  return (
    <div role="group" aria-label="The place">
      {planned ? (
        <div className={styles.fields}>
          {lie}
          {sit}
          {stance}
          {field('windMs', 'Wind', windUnit(units))}
          {day}
        </div>
      ) : (
        <>
          <div className={styles.fields}>
            {field('distanceM', 'To the hole', far)}
            {field('edgeM', 'Carry to the green', far)}
            {field('slope', 'Slope', PERCENT_UPHILL)}
            {lie}
          </div>
          <details className={styles.details} open={wrongBelow || undefined}>
            <summary>{sayRest(place, units)}</summary>
            <div className={styles.fields}>
              {sit}
              {field('sideSlope', 'Across', PERCENT_RIGHT)}
              {stance}
              {field('beyondM', 'Green behind the hole', far)}
              {day}
              {field('fringeM', 'Fringe', near)}
              {field('riseM', 'Green above the ball', near)}
              {field('windMs', 'Wind', windUnit(units))}
            </div>
          </details>
        </>
      )}
    </div>
  );
}

/** What else is taken of a place, while its fields are folded away: "medium green, 9 ft fast, 10 yd behind the hole, no wind". */
function sayRest({ sit, stance, sideSlope, firmness, stimpFt, beyondM, riseM, windMs }: LandingPlace, units: UnitSystem): string {
  const metric = units === 'metric';
  const parts = [
    sit === 'clean' ? 'clean ball' : say(sit),
    stance !== 'flat' && say(stance),
    sideSlope !== 0 && `falls ${sideSlope > 0 ? 'left' : 'right'}`,
    `${firmness} green, speed ${Math.round(stimpFt * 10) / 10} ft`,
    `${formatLength(beyondM, metric ? 'm' : 'yd', 0)} behind the hole`,
    Math.abs(riseM) >= 0.05 && `${formatLength(Math.abs(riseM), metric ? 'm' : 'ft')} ${riseM > 0 ? 'above' : 'below'} you`,
    windMs === 0 ? 'no wind' : windMs > 0 ? 'helping wind' : 'headwind',
  ];
  return capital(parts.filter((part) => typeof part === 'string').join(', '));
}
