'use client';

import { type CSSProperties, useState } from 'react';
import type { AnswerKey } from '@/core/game/scoring/answer-keys';
import type { Result } from '@/core/game/scoring/ball';
import type { Measure } from '@/core/golf/words';
import { formatLeft, counted } from '@/core/units/format';
import type { UnitSystem } from '@/core/units/length';
import { useKeys } from '@/ui/use-keys';
import type { Offer } from './device/store';
import {
  nothingTyped,
  pressPad,
  sayPadUnit,
  sayTyped,
  typedMetres,
  typedResult,
  type PadMeasures,
  type PadUnit,
  type Typed,
} from './entry';
import { FinishKeys } from './finish-keys';
import styles from './play.module.scss';

type Props = {
  system: UnitSystem;
  measures: PadMeasures;
  /** How many balls may be entered as one total. */
  mostBalls?: number;
  /** What a device for distances read, where one does. */
  offer?: Offer | null;
  /** What a result comes to, in a word or two; empty where its distance says it all. */
  verdict: (result: Result) => string;
  /** Keys beside the pad, in place of the way back to the keys. */
  quick?: readonly AnswerKey[];
  sayQuick?: (key: AnswerKey) => string;
  /** What is typed so far: it is kept outside, so that a digit for the next ball finds its place before the screen is drawn anew. */
  pad: Typed;
  onPad: (change: (now: Typed) => Typed) => void;
  onRecord: (result: Result) => void;
  onCancel: () => void;
};

const WAYS = [
  ['tape', 'taped'],
  ['pace', 'paced'],
  ['eye', 'by eye'],
] as const;
const REMEMBERED = { measured: 'inch-measured', unit: 'inch-pad-unit' };

/** How distances were last measured on this device: it stays as it was set. */
function lastWay(): Measure {
  const kept = window.localStorage.getItem(REMEMBERED.measured);
  return WAYS.find(([way]) => way === kept)?.[0] ?? 'tape';
}

/** The units of somebody's pad, the usual one first. */
const unitsOf = (system: UnitSystem): PadUnit[] => [system === 'metric' ? 'm' : 'ft', 'pace', 'club'];

function lastUnit(system: UnitSystem): PadUnit {
  const kept = window.localStorage.getItem(REMEMBERED.unit);
  return unitsOf(system).find((unit) => unit === kept) ?? unitsOf(system)[0]!;
}

/** A pressed key does not take the focus, so that Enter on a keyboard records and does not press that key again. */
function keepFocus(event: React.MouseEvent) {
  event.preventDefault();
}

/** The pad of somebody at the green, empty, in the unit in which was typed last. */
export function usePad(system: UnitSystem): [Typed, (change: (now: Typed) => Typed) => void] {
  return useState(() => nothingTyped(lastUnit(system)));
}

/** A number pad for the distance left, and how it was measured. */
export function TypePanel(props: Props) {
  const {
    system,
    measures,
    mostBalls = 1,
    offer = null,
    verdict,
    quick = [],
    sayQuick,
    pad: typed,
    onPad: setTyped,
    onRecord,
    onCancel,
  } = props;
  const [measured, setMeasured] = useState<Measure>(lastWay);
  const [wantedBalls, setBalls] = useState(1);
  const balls = Math.min(wantedBalls, mostBalls);
  const [tried, setTried] = useState(false);
  const units = unitsOf(system);
  const usual = typed.unit === 'ft' ? 'ft' : '.';
  const read = typedMetres(typed, measures, balls);
  const result = 'leftM' in read ? typedResult(read.leftM, measured, balls) : null;
  const press = (key: string) => setTyped((now) => pressPad(now, key));
  const keep = (said: Result) => {
    setTyped(({ unit }) => nothingTyped(unit));
    setTried(false);
    onRecord(said);
  };
  const finish = () => (result ? keep(result) : setTried(true));
  const measure = (way: Measure) => {
    setMeasured(way);
    window.localStorage.setItem(REMEMBERED.measured, way);
  };
  const nextUnit = () => {
    const unit = units[(units.indexOf(typed.unit) + 1) % units.length]!;
    setTyped(() => nothingTyped(unit));
    window.localStorage.setItem(REMEMBERED.unit, unit);
    if (unit === 'pace') measure('pace');
  };

  useKeys((event) => {
    if (event.ctrlKey || event.metaKey || event.altKey) return;
    if (/^\d$/.test(event.key)) press(event.key);
    else if (event.key === '.' || event.key === ',') press(usual);
    else if (event.key === 'f' || event.key === "'") press('ft');
    else if (event.key === 'Backspace') press('back');
    else if (event.key === 'Escape') onCancel();
    else if (event.key.toLowerCase() === 'h' && quick.some((key) => key.kind === 'holed'))
      keep(quick.find((key) => key.kind === 'holed')!.result);
    else if (event.key === 'Enter' && (event.target as HTMLElement).tagName !== 'BUTTON') finish();
  });

  const empty = typed.whole === '' && !tried;
  return (
    <div className={styles.typing} onMouseDown={keepFocus}>
      <div className={styles.readout}>
        <p aria-live="polite">
          <b className="fig">{sayTyped(typed)}</b>
          <span>
            {result
              ? verdict(result)
              : empty
                ? balls > 1
                  ? `left, ${balls} balls in all`
                  : 'left to the hole'
                : 'why' in read && read.why}
          </span>
        </p>
        {mostBalls > 1 && (
          <button type="button" aria-label={`${balls} at once: change`} onClick={() => setBalls(balls >= mostBalls ? 1 : balls + 1)}>
            {counted(balls, 'ball')}
          </button>
        )}
        <button type="button" aria-label={`In ${sayPadUnit(typed.unit)}: change`} onClick={nextUnit}>
          {sayPadUnit(typed.unit)}
        </button>
      </div>
      {offer && balls === 1 ? (
        <button type="button" className={styles.offer} onClick={() => keep(typedResult(offer.distanceM, 'laser'))}>
          The reader says <b className="fig">{formatLeft(offer.distanceM, system)}</b> · take it
        </button>
      ) : (
        <div className={styles.ways} role="radiogroup" aria-label="How it was measured">
          {WAYS.map(([way, word]) => (
            <button key={way} type="button" role="radio" aria-checked={measured === way} onClick={() => measure(way)}>
              {word}
            </button>
          ))}
        </div>
      )}
      <div className={styles.pad}>
        {['1', '2', '3', '4', '5', '6', '7', '8', '9'].map((digit) => (
          <button key={digit} type="button" onClick={() => press(digit)}>
            {digit}
          </button>
        ))}
        <button type="button" onClick={() => press(usual)}>
          {usual}
        </button>
        <button type="button" onClick={() => press('0')}>
          0
        </button>
        <button type="button" onClick={() => press('back')} aria-label="Delete">
          ⌫
        </button>
      </div>
      {quick.length > 0 ? (
        <div
          className={quick.length > 2 ? `${styles.quick} ${styles.manyQuick}` : styles.quick}
          style={{ '--quick': quick.length } as CSSProperties}
        >
          {quick.map((key) => (
            <button
              key={key.key}
              type="button"
              className={key.kind === 'holed' ? styles.holed : undefined}
              onClick={() => keep(key.result)}
            >
              {sayQuick?.(key)}
            </button>
          ))}
          <button type="button" className="btn btn-primary" onClick={finish}>
            Record {result ? sayTyped(typed) : ''}
          </button>
        </div>
      ) : (
        <FinishKeys record={result ? sayTyped(typed) : ''} onRecord={finish} onCancel={onCancel} />
      )}
    </div>
  );
}
