'use client';

import { useState } from 'react';
import { isPutt, surfacesOf, unitOf } from '@/core/golf/shot-types';
import { SHOT_TYPES, SITS, STANCES, type ShotType, type Sit, type Stance, type Surface } from '@/core/golf/words';
import type { ProposedStation } from '@/core/game/calls';
import { kindOfShot } from '@/core/game/proposed';
import { stationSchema, type Station } from '@/core/game/station';
import { saySpot, sayStation, sayStationLie } from '@/core/game/words/say-station';
import { counted } from '@/core/units/format';
import { toMetres, type UnitSystem } from '@/core/units/length';
import { readNumber } from '@/ui/length-input';
import { Chips } from '../session/chips';
import styles from './play.module.scss';

const PARS = ['2', '3', '4'] as const;

type Props = {
  stationKey: string;
  system: UnitSystem;
  /** Which station of how many it is, and how many balls are played there, as far as the game plans it. */
  plan: string;
  /** Whether the game counts against a par. */
  withPar: boolean;
  /** @param wind in the player's words; null where nobody says */
  onCall: (station: Station, wind: string | null) => void;
  onBack: (() => void) | null;
  /** What the game proposes; null: nothing. */
  proposed: ProposedStation | null;
  /** The place that was played last, to be played again where that is wanted; null before the first. */
  last: Station | null;
  /** Shots of its kind can't be hit here. */
  onNotHere: (kind: string) => void;
};

/** Calls a station while walking: the shot, where from, how far; the lie, the stance, the wind and the par where they matter. */
export function CallStation({ stationKey, system, plan, withPar, onCall, onBack, proposed, last, onNotHere }: Props) {
  const [byHand, setByHand] = useState(false);
  const [shotType, setShotType] = useState<ShotType>('chip');
  const [surface, setSurface] = useState<Surface>('fairway');
  const [sit, setSit] = useState<Sit>('clean');
  const [stance, setStance] = useState<Stance>('flat');
  const [par, setPar] = useState<(typeof PARS)[number]>('2');
  const [wind, setWind] = useState('');
  const [text, setText] = useState('');
  const [wrong, setWrong] = useState<string | null>(null);
  const unit = unitOf(shotType, system);
  const putt = isPutt(shotType);
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
      ...(putt ? {} : { sit, stance }),
      distanceM: typed === null ? NaN : toMetres(typed, unit),
      distanceUnit: unit,
      par: withPar ? Number(par) : null,
      balls: 1,
    });
    if (parsed.success) onCall(parsed.data, wind.trim() || null);
    else setWrong(parsed.error.issues[0]!.message);
  };
  if (proposed && !byHand)
    return (
      <section className={`${styles.call} ${styles.proposed}`} aria-labelledby="proposed">
        <p className="mb-0">Next</p>
        <h2 id="proposed">{sayStation(proposed.station, system)}</h2>
        <p className="mb-0">
          {sayStationLie(proposed.station)}
          {saySpot(proposed.station) && ` · ${saySpot(proposed.station)}`}
        </p>
        <p className="mb-0">
          {counted(proposed.station.balls, 'ball')}.{' '}
          {proposed.more === 0
            ? 'Your three weakest shots are clear.'
            : proposed.more !== null && `About ${proposed.more} more balls until your three weakest shots are clear.`}
        </p>
        <div className={styles.finish}>
          <button type="button" className="btn btn-outline-dark" onClick={() => onNotHere(kindOfShot(proposed.station))}>
            Not here
          </button>
          <button type="button" className="btn btn-primary" onClick={() => onCall({ ...proposed.station, key: stationKey }, null)}>
            Play it
          </button>
        </div>
        <div className={styles.lesser}>
          {onBack || !last ? (
            <button type="button" className="btn btn-outline-dark" disabled={!onBack} onClick={() => onBack?.()}>
              Back
            </button>
          ) : (
            <button type="button" className="btn btn-outline-dark" onClick={() => onCall({ ...last, key: stationKey }, null)}>
              Again here
            </button>
          )}
          <button type="button" className="btn btn-outline-dark" onClick={() => setByHand(true)}>
            Another shot
          </button>
        </div>
      </section>
    );
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
      {plan && <p className="mb-0">{plan}</p>}
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
      {withPar && <Chips label="Par" titled options={PARS} value={par} onChange={setPar} />}
      <details>
        <summary>{putt ? 'Wind' : 'Lie, stance, wind'}</summary>
        {!putt && <Chips label="Ball" titled options={SITS} value={sit} onChange={setSit} />}
        {!putt && <Chips label="Stance" titled options={STANCES} value={stance} onChange={setStance} />}
        <label htmlFor="called-wind">Wind</label>
        <input
          id="called-wind"
          className="form-control"
          maxLength={40}
          autoComplete="off"
          placeholder="as today"
          value={wind}
          onChange={(event) => setWind(event.target.value)}
        />
      </details>
      <div className={styles.finish}>
        <button
          type="button"
          className="btn btn-outline-dark"
          disabled={!onBack && !proposed}
          onClick={() => (proposed ? setByHand(false) : onBack?.())}
        >
          Back
        </button>
        <button type="submit" className="btn btn-primary">
          Play it
        </button>
      </div>
    </form>
  );
}
