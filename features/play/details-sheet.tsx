'use client';

import { isPutt, saysSurface, surfacesOf } from '@/core/golf/shot-types';
import { useState } from 'react';
import type { BagClub } from '@/core/play/questions';
import { stationUnit } from '@/core/game/words/say-station';
import type { Details } from '@/core/game/scoring/ball';
import type { Station } from '@/core/game/station';
import { FINISHES, MISHITS, SHAPES, SITS, STANCES, TRAJECTORIES } from '@/core/golf/words';
import { sayCounts } from '@/core/shot/say-shot';
import { leftUnit } from '@/core/units/format';
import { fromMetres, toMetres, type LengthUnit, type UnitSystem } from '@/core/units/length';
import { readNumber } from '@/ui/length-input';
import { Chips } from '../session/chips';
import { MARKS, ROW_WORDS, ROWS, type Row } from './details';
import styles from './play.module.scss';

type Props = {
  station: Station;
  clubs: readonly BagClub[];
  /** The player's own names for swing lengths. */
  swings: readonly string[];
  system: UnitSystem;
  details: Details;
  onChange: (details: Details) => void;
  onDone: () => void;
  /** What stands on the screen of every ball. */
  rows: readonly Row[];
  onRows: (rows: Row[]) => void;
};

/** All that can be said of a ball beside where it stopped. Nothing of it has to be. */
export function DetailsSheet({ station, clubs, swings, system, details, onChange, onDone, rows, onRows }: Props) {
  const set = (change: Details) => onChange({ ...details, ...change });
  /** A choice that can be taken back. */
  const pick = <K extends keyof Details>(field: K) => ({
    onChange: (value: NonNullable<Details[K]>) => set({ [field]: value }),
    onClear: () => {
      const { [field]: _gone, ...rest } = details;
      onChange(rest);
    },
  });
  const putt = isPutt(station.shotType);
  const sits = SITS.filter((sit) => sit !== 'buried' || (details.surface ?? station.surface) === 'sand');
  return (
    <section className={styles.sheet} aria-label="More about this ball">
      <div className={styles.sheetTop}>
        <h2>This ball</h2>
        <button type="button" className="btn btn-primary" onClick={onDone}>
          Done
        </button>
      </div>
      <div className={styles.sheetBody}>
        <Chips titled label="Counts?" options={MARKS} value={details.counts ?? null} name={sayCounts} {...pick('counts')} />
        {!putt && <Chips titled label="Strike" options={MISHITS} value={details.mishit ?? null} {...pick('mishit')} />}
        <Chips titled label="Finished" options={FINISHES} value={details.finish ?? null} {...pick('finish')} />
        <Chips
          titled
          label="Penalty"
          options={['1', '2']}
          value={details.penalty ? String(details.penalty) : null}
          onChange={(strokes) => set({ penalty: Number(strokes) })}
          onClear={() => set({ penalty: 0 })}
        />
        {!putt && !saysSurface(station.shotType) && (
          <Chips
            titled
            label="Its lie"
            options={surfacesOf(station.shotType)}
            value={details.surface ?? station.surface}
            {...pick('surface')}
          />
        )}
        {!putt && <Chips titled label="Sits" options={sits} value={details.sit ?? station.sit} {...pick('sit')} />}
        <Chips titled label="Stance" options={STANCES} value={details.stance ?? station.stance} {...pick('stance')} />
        {!putt && (
          <Chips titled label="Flight" options={TRAJECTORIES} value={details.trajectory ?? station.trajectory} {...pick('trajectory')} />
        )}
        {!putt && <Chips titled label="Shape" options={SHAPES} value={details.shape ?? station.shape} {...pick('shape')} />}
        {clubs.length > 0 && (
          <Chips
            titled
            label="Club"
            options={clubs.map((club) => club.label)}
            value={details.clubLabel ?? null}
            name={(label) => label}
            onChange={(label) => set({ clubLabel: label, clubId: clubs.find((club) => club.label === label)?.clubId ?? null })}
            onClear={() => set({ clubLabel: null, clubId: null })}
          />
        )}
        {!putt && swings.length > 0 && (
          <Chips
            titled
            label="Swing mark"
            options={swings}
            value={details.swingMark ?? null}
            name={(mark) => mark}
            {...pick('swingMark')}
          />
        )}
        <div className={styles.sheetFields}>
          {!putt && swings.length === 0 && (
            <TextField label="Swing mark" value={details.swingMark ?? ''} most={40} onChange={(text) => set({ swingMark: text || null })} />
          )}
          <LengthField
            label="Played for"
            unit={stationUnit(station, system)}
            metres={details.intendedM ?? null}
            onChange={(metres) => set({ intendedM: metres === null ? null : Math.abs(metres) })}
          />
          {!putt && (
            <LengthField
              label="Landed long of the spot (− short)"
              unit={leftUnit(system)}
              metres={details.landingErrorM ?? null}
              onChange={(landingErrorM) => set({ landingErrorM })}
            />
          )}
          <TextField label="Note" value={details.note ?? ''} most={500} onChange={(text) => set({ note: text || null })} />
        </div>
        <div className={styles.keep} role="group" aria-label="Always show">
          <span aria-hidden>Always show</span>
          {ROWS.filter((row) => row === 'marks' || row === 'side' || (!putt && (row !== 'swing' || swings.length > 0))).map((row) => (
            <button
              key={row}
              type="button"
              aria-pressed={rows.includes(row)}
              onClick={() => onRows(ROWS.filter((one) => (one === row ? !rows.includes(row) : rows.includes(one))))}
            >
              {ROW_WORDS[row]}
            </button>
          ))}
        </div>
      </div>
    </section>
  );
}

type TextProps = { label: string; value: string; most: number; onChange: (text: string) => void };

function TextField({ label, value, most, onChange }: TextProps) {
  return (
    <label>
      {label}
      <input
        className="form-control"
        value={value}
        maxLength={most}
        autoComplete="off"
        onChange={(event) => onChange(event.target.value)}
      />
    </label>
  );
}

type LengthProps = { label: string; unit: LengthUnit; metres: number | null; onChange: (metres: number | null) => void };

const MOST_M = 150;

/** A distance that may be left empty; what makes no sense is said beside it, and nothing is taken from it. */
function LengthField({ label, unit, metres, onChange }: LengthProps) {
  const [text, setText] = useState(metres === null ? '' : String(fromMetres(metres, unit)));
  const read = (from: string): number | null | 'wrong' => {
    const typed = readNumber(from.replace('−', '-'));
    if (typed === null) return null;
    return Number.isFinite(typed) && Math.abs(toMetres(typed, unit)) <= MOST_M ? toMetres(typed, unit) : 'wrong';
  };
  const now = read(text);
  return (
    <label>
      {label}, {unit}
      <input
        className={`form-control ${now === 'wrong' ? 'is-invalid' : ''}`}
        autoComplete="off"
        value={text}
        onChange={(event) => {
          setText(event.target.value);
          const next = read(event.target.value);
          onChange(next === 'wrong' ? null : next);
        }}
      />
      {now === 'wrong' && <span className="text-danger fw-semibold">A number, at most {Math.floor(fromMetres(MOST_M, unit))}.</span>}
    </label>
  );
}
