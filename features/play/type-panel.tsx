'use client';

import { useEffect, useState } from 'react';
import type { AnswerKey, Result } from '@/core/game/scoring/scheme';
import type { Measure } from '@/core/golf/words';
import type { UnitSystem } from '@/core/units/length';
import { NOTHING_TYPED, pressPad, sayTyped, typedMetres, typedResult } from './entry';
import { FinishKeys } from './finish-keys';
import styles from './play.module.scss';

type Props = {
  system: UnitSystem;
  /** What a result comes to, in a word or two; empty where its distance says it all. */
  verdict: (result: Result) => string;
  /** Keys beside the pad, in place of the way back to the keys. */
  quick?: readonly AnswerKey[];
  sayQuick?: (key: AnswerKey) => string;
  busy: boolean;
  onRecord: (result: Result) => void;
  onCancel: () => void;
};

const WAYS = [
  ['tape', 'taped'],
  ['pace', 'paced'],
  ['eye', 'by eye'],
] as const;
const REMEMBERED = 'inch-measured';

/** How distances were last measured on this device: it stays as it was set. */
function lastWay(): Measure {
  const kept = window.localStorage.getItem(REMEMBERED);
  return WAYS.find(([way]) => way === kept)?.[0] ?? 'tape';
}

/** A pressed key does not take the focus, so that Enter on a keyboard records and does not press that key again. */
function keepFocus(event: React.MouseEvent) {
  event.preventDefault();
}

/** A number pad for the distance left, and how it was measured. */
export function TypePanel({ system, verdict, quick = [], sayQuick, busy, onRecord, onCancel }: Props) {
  const [typed, setTyped] = useState(NOTHING_TYPED);
  const [measured, setMeasured] = useState<Measure>(lastWay);
  const [tried, setTried] = useState(false);
  const read = typedMetres(typed, system);
  const result = 'leftM' in read ? typedResult(read.leftM, measured) : null;
  const press = (key: string) => setTyped((now) => pressPad(now, key, system));
  const finish = () => (result ? onRecord(result) : setTried(true));

  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey) return;
      if (/^\d$/.test(event.key)) press(event.key);
      else if (event.key === '.' || event.key === ',') press(system === 'metric' ? '.' : 'ft');
      else if (event.key === 'f' || event.key === "'") press('ft');
      else if (event.key === 'Backspace') press('back');
      else if (event.key === 'Escape') onCancel();
      else if (event.key.toLowerCase() === 'h' && quick.some((key) => key.kind === 'holed'))
        onRecord(quick.find((key) => key.kind === 'holed')!.result);
      else if (event.key === 'Enter' && (event.target as HTMLElement).tagName !== 'BUTTON') finish();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  });

  return (
    <div className={styles.typing} onMouseDown={keepFocus}>
      <p className={styles.readout} aria-live="polite">
        <b className="fig">{sayTyped(typed, system)}</b>
        <span>{result ? verdict(result) : tried || typed !== NOTHING_TYPED ? (read as { why: string }).why : 'left to the hole'}</span>
      </p>
      <div className={styles.ways} role="radiogroup" aria-label="How it was measured">
        {WAYS.map(([way, word]) => (
          <button
            key={way}
            type="button"
            role="radio"
            aria-checked={measured === way}
            onClick={() => {
              setMeasured(way);
              window.localStorage.setItem(REMEMBERED, way);
            }}
          >
            {word}
          </button>
        ))}
      </div>
      <div className={styles.pad}>
        {['1', '2', '3', '4', '5', '6', '7', '8', '9'].map((digit) => (
          <button key={digit} type="button" onClick={() => press(digit)}>
            {digit}
          </button>
        ))}
        <button type="button" onClick={() => press(system === 'metric' ? '.' : 'ft')}>
          {system === 'metric' ? '.' : 'ft'}
        </button>
        <button type="button" onClick={() => press('0')}>
          0
        </button>
        <button type="button" onClick={() => press('back')} aria-label="Delete">
          ⌫
        </button>
      </div>
      {quick.length > 0 ? (
        <div className={styles.quick}>
          {quick.map((key) => (
            <button
              key={key.key}
              type="button"
              disabled={busy}
              className={key.kind === 'holed' ? styles.holed : undefined}
              onClick={() => onRecord(key.result)}
            >
              {sayQuick?.(key)}
            </button>
          ))}
          <button type="button" className="btn btn-primary" disabled={busy} onClick={finish}>
            Record {result ? sayTyped(typed, system) : ''}
          </button>
        </div>
      ) : (
        <FinishKeys record={result ? sayTyped(typed, system) : ''} busy={busy} onRecord={finish} onCancel={onCancel} />
      )}
    </div>
  );
}
