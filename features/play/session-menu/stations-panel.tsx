'use client';

import { useState } from 'react';
import { sayStation, sayStationLie, sayWhere, stationUnit } from '@/core/game/words/say-station';
import type { GameSpec } from '@/core/game/spec';
import type { Station } from '@/core/game/station';
import { DISTANCE_SOURCES, stationDistanceSchema } from '@/core/shot/conditions';
import { sayMeasured } from '@/core/shot/say-shot';
import { fromMetres, toMetres } from '@/core/units/length';
import { readNumber } from '@/ui/length-input';
import { Chips } from '../../session/chips';
import { noteSession } from '../device/sync';
import type { MenuProps } from './menu-props';
import session from '../../session/session.module.scss';
import styles from './session-menu.module.scss';
import { Top } from './top';

/** How far each station really is today. All balls of the session follow; the game stays as it is. */
export function StationsPanel({ bundle, table, seat, onClose }: MenuProps) {
  return (
    <>
      <Top title="Distances as they really are" onBack={onClose} />
      <div className={styles.list}>
        <p className="mb-0">All balls of this session follow. The game itself stays as it is.</p>
        {placesOf(table.standings[seat]!.game).map(({ station, where }) => (
          <OneStation
            key={`${station.key}|${station.distanceM}`}
            bundle={bundle}
            station={station}
            where={where}
            system={bundle.players[seat]!.units}
          />
        ))}
      </div>
    </>
  );
}

/** The stations of the phase that counts, then those that a phase before it has of its own, each with where it is. */
function placesOf({ stations, leadIn }: GameSpec): { station: Station; where: string }[] {
  const listed = (all: readonly Station[], title = '') =>
    all.map((station, i) => ({ station, where: [title, sayWhere(station, i + 1, all.length)].filter(Boolean).join(' · ') }));
  return [...listed(stations), ...leadIn.flatMap((phase) => listed(phase.stations ?? [], phase.title))];
}

type OneProps = {
  bundle: MenuProps['bundle'];
  station: Station;
  /** Which it is, and where. */ where: string;
  system: 'imperial' | 'metric';
};

function OneStation({ bundle, station, where, system }: OneProps) {
  const unit = stationUnit(station, system);
  const before = bundle.stations.find((one) => one.key === station.key);
  const [text, setText] = useState(String(fromMetres(station.distanceM, unit)));
  const [source, setSource] = useState<(typeof DISTANCE_SOURCES)[number]>(before?.source ?? 'tape');
  const [wrong, setWrong] = useState('');
  const id = `far-${station.key}`;
  const keep = () => {
    const typed = readNumber(text);
    const read = stationDistanceSchema.safeParse({
      key: station.key,
      distanceM: typed === null ? undefined : toMetres(typed, unit),
      source,
    });
    if (read.success) void noteSession(bundle.sessionId, { say: 'station', station: read.data });
    else setWrong(read.error.issues[0]!.message);
  };
  return (
    <section className={styles.station}>
      <b>
        {sayStation(station, system)}
        <small className={styles.spot}>{[where, sayStationLie(station)].filter(Boolean).join(' · ')}</small>
      </b>
      {before && <span>{sayMeasured(before.source)}, for this session</span>}
      <div className={styles.row}>
        <div className={session.field}>
          <label htmlFor={id}>Really, {unit}</label>
          <input
            id={id}
            className={`form-control ${wrong ? 'is-invalid' : ''}`}
            inputMode="decimal"
            autoComplete="off"
            value={text}
            onChange={(event) => {
              setText(event.target.value);
              setWrong('');
            }}
          />
        </div>
        <button type="button" className="btn btn-primary" onClick={keep}>
          Keep
        </button>
      </div>
      {wrong && <span className="text-danger fw-semibold">{wrong}</span>}
      <Chips label="Known by" options={DISTANCE_SOURCES} value={source} name={sayMeasured} onChange={setSource} />
    </section>
  );
}
