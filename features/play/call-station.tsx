'use client';

import { surfacesOf, unitOf } from '@/core/golf/shot-types';
import { useState } from 'react';
import { SHOT_TYPES, type ShotType, type Surface } from '@/core/golf/words';
import { stationSchema, type Station } from '@/core/game/station';
import { toMetres, type UnitSystem } from '@/core/units/length';
import { readNumber } from '@/ui/length-input';
import { Chips } from '../session/chips';
import styles from './play.module.scss';

type Props = { stationKey: string; system: UnitSystem; onCall: (station: Station) => void; onBack: (() => void) | null };

/** Calls a station while walking: the shot, where from, how far. */
export function CallStation({ stationKey, system, onCall, onBack }: Props) {
  const [shotType, setShotType] = useState<ShotType>('chip');
  const [surface, setSurface] = useState<Surface>('fairway');
  const [text, setText] = useState('');
  const [wrong, setWrong] = useState<string | null>(null);
  const unit = unitOf(shotType, system);
  const choose = (next: ShotType) => {
    setShotType(next);
    if (!surfacesOf(next).includes(surface)) setSurface(surfacesOf(next)[0]!);
  };
  const call = () => {
    const typed = readNumber(text);
    const parsed = stationSchema.safeParse({
      key: stationKey,
      shotType,
      surface,
      distanceM: typed === null ? NaN : toMetres(typed, unit),
      distanceUnit: unit,
      balls: 1,
    });
    if (parsed.success) onCall(parsed.data);
    else setWrong(parsed.error.issues[0]!.message);
  };
  return (
    <form
      className={styles.call}
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        call();
      }}
    >
      <h2>Call a station</h2>
      <Chips label="Shot" options={SHOT_TYPES} value={shotType} onChange={choose} />
      <Chips label="From" options={surfacesOf(shotType)} value={surface} onChange={setSurface} />
      <label htmlFor="called-distance">Distance to the hole, {unit}</label>
      <input
        id="called-distance"
        className={`form-control ${wrong ? 'is-invalid' : ''}`}
        inputMode="decimal"
        autoComplete="off"
        value={text}
        aria-describedby={wrong ? 'called-wrong' : undefined}
        onChange={(event) => {
          setText(event.target.value);
          setWrong(null);
        }}
      />
      {wrong && (
        <p id="called-wrong" className="text-danger fw-semibold mb-0">
          {wrong}
        </p>
      )}
      <div className={styles.finish}>
        <button type="button" className="btn btn-outline-dark" disabled={!onBack} onClick={() => onBack?.()}>
          Back
        </button>
        <button type="submit" className="btn btn-primary">
          Play it
        </button>
      </div>
    </form>
  );
}
