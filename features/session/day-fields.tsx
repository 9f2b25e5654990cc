'use client';

import { useState } from 'react';
import { FIRMNESSES } from '@/core/golf/words';
import { conditionsSchema, PUT_DOWN, storedConditions, type Conditions } from '@/core/shot/conditions';
import { readNumber } from '@/ui/length-input';
import { Chips } from './chips';
import styles from './session.module.scss';

type Props = { initial: Conditions; onKeep: (conditions: Conditions) => Promise<void> };

/** Speed, firmness, wet, wind, how balls are put down: whatever of it is known. */
export function DayFields({ initial, onKeep }: Props) {
  const [speed, setSpeed] = useState(initial.stimpFt === undefined ? '' : String(initial.stimpFt));
  const [said, setSaid] = useState<Conditions>(initial);
  const [wrong, setWrong] = useState<Record<string, string>>({});
  const [busy, setBusy] = useState(false);
  const set = (change: Conditions) => setSaid((now) => ({ ...now, ...change }));
  const clear = (field: keyof Conditions) => setSaid(({ [field]: _gone, ...rest }) => rest);
  const keep = async () => {
    const { stimpFt: _before, ...rest } = said;
    const stimpFt = readNumber(speed);
    const read = conditionsSchema.safeParse({ version: storedConditions.version, ...rest, ...(stimpFt === null ? {} : { stimpFt }) });
    if (!read.success) return setWrong(Object.fromEntries(read.error.issues.map((issue) => [String(issue.path[0]), issue.message])));
    setBusy(true);
    await onKeep(read.data);
    setBusy(false);
  };
  return (
    <form
      noValidate
      className="d-grid gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        void keep();
      }}
    >
      <div className={styles.field}>
        <label htmlFor="day-speed">Speed of the green, Stimp ft</label>
        <input
          id="day-speed"
          className={`form-control ${wrong.stimpFt ? 'is-invalid' : ''}`}
          inputMode="decimal"
          autoComplete="off"
          value={speed}
          onChange={(event) => setSpeed(event.target.value)}
        />
        {wrong.stimpFt && <span className="text-danger fw-semibold">{wrong.stimpFt}</span>}
      </div>
      <Chips
        titled
        label="Ground"
        options={FIRMNESSES}
        value={said.firmness ?? null}
        onChange={(firmness) => set({ firmness })}
        onClear={() => clear('firmness')}
      />
      <Chips
        titled
        label="Grass"
        options={['dry', 'wet']}
        value={said.wet === undefined ? null : said.wet ? 'wet' : 'dry'}
        onChange={(word) => set({ wet: word === 'wet' })}
        onClear={() => clear('wet')}
      />
      <Chips
        titled
        label="Balls"
        options={PUT_DOWN}
        value={said.ball ?? null}
        name={(ball) => (ball === 'drop' ? 'dropped' : 'placed')}
        onChange={(ball) => set({ ball })}
        onClear={() => clear('ball')}
      />
      <TextField id="day-wind" label="Wind" value={said.wind ?? ''} most={40} wrong={wrong.wind} onChange={(wind) => set({ wind })} />
      <TextField id="day-note" label="Note" value={said.note ?? ''} most={200} wrong={wrong.note} onChange={(note) => set({ note })} />
      <button type="submit" className="btn btn-primary btn-lg" disabled={busy}>
        Keep
      </button>
    </form>
  );
}

type TextProps = { id: string; label: string; value: string; most: number; wrong: string | undefined; onChange: (text: string) => void };

function TextField({ id, label, value, most, wrong, onChange }: TextProps) {
  return (
    <div className={styles.field}>
      <label htmlFor={id}>{label}</label>
      <input
        id={id}
        className={`form-control ${wrong ? 'is-invalid' : ''}`}
        maxLength={most}
        autoComplete="off"
        value={value}
        onChange={(event) => onChange(event.target.value)}
      />
      {wrong && <span className="text-danger fw-semibold">{wrong}</span>}
    </div>
  );
}
