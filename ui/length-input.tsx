'use client';

import { createContext, use, useState } from 'react';
import { Form } from 'react-bootstrap';
import { decimal } from '@/core/units/decimal';
import { readLength, UNMEASURED, type OwnMeasures } from '@/core/measures/read-length';
import { fromMetres, METRES_PER, snap, toMetres, type LengthUnit } from '@/core/units/length';

type Props = {
  id: string;
  label: string;
  /** Metres; null for empty, NaN for what is no number. */
  value: number | null;
  onChange: (metres: number | null) => void;
  onBlur?: () => void;
  /** A unit of length, or a measure of somebody's own: a word in the plural and how long one is. */
  unit: LengthUnit | { word: string; metres: number };
  hint?: string;
  error?: string | undefined;
  inputRef?: React.Ref<HTMLInputElement>;
  className?: string;
};

/** Reads a number as people type it: "6,5" is 6.5; nothing is null; what is no number is NaN. */
export function readNumber(text: string): number | null {
  return text.trim() === '' ? null : decimal(text);
}

const UNIT_WORDS: Readonly<Record<LengthUnit, string>> = { m: 'metres', yd: 'yards', ft: 'feet', in: 'inches' };

const inUnit = (metres: number, unit: Props['unit']) =>
  typeof unit === 'string' ? fromMetres(metres, unit) : Math.round((metres / unit.metres) * 1e3) / 1e3;
const ofUnit = (value: number, unit: Props['unit']) => (typeof unit === 'string' ? toMetres(value, unit) : snap(value * unit.metres));

/** What was typed, in metres: in the field's own unit, or with any other behind it ("12 paces", "4 ft 3"). What is no length has no other unit. */
function readIn(text: string, unit: Props['unit'], own: OwnMeasures): number | null {
  const number = readNumber(text);
  if (number === null) return null;
  if (!Number.isNaN(number)) return ofUnit(number, unit);
  return typeof unit === 'string' ? readLength(text, METRES_PER[unit], own) : NaN;
}

/** Whose paces and clubs are meant where somebody types them. */
export const MeasuresContext = createContext<OwnMeasures>(UNMEASURED);

/** A length, typed in the coach's unit and kept in metres. What was typed stays as it was typed, right or wrong. */
export function LengthInput({ id, label, value, onChange, onBlur, unit, error, inputRef, className, hint }: Props) {
  const own = use(MeasuresContext);
  const shown = value === null || Number.isNaN(value) ? '' : String(inUnit(value, unit));
  const word = typeof unit === 'string' ? UNIT_WORDS[unit] : unit.word;
  const measure = typeof unit === 'string' ? unit : `${unit.word} of ${unit.metres}`;
  const [typed, setTyped] = useState({ text: shown, measure, metres: value });
  // Another unit, or another value from outside, shows anew; what the user types is left alone.
  if (typed.measure !== measure || !Object.is(typed.metres, value)) setTyped({ text: shown, measure, metres: value });
  // What was typed in another unit is said in the field's own.
  const foreign = typeof unit === 'string' && shown !== '' && Number.isNaN(readNumber(typed.text) ?? 0) ? `${shown} ${unit}` : null;
  return (
    <Form.Group controlId={id} className={className}>
      <Form.Label>
        {label} <span className="small-print">{word}</span>
      </Form.Label>
      <Form.Control
        ref={inputRef}
        className="fig"
        inputMode="decimal"
        autoComplete="off"
        value={typed.text}
        isInvalid={error !== undefined}
        aria-describedby={error ? `${id}-error` : undefined}
        onBlur={onBlur}
        onChange={(event) => {
          const metres = readIn(event.target.value, unit, own);
          setTyped({ text: event.target.value, measure, metres });
          onChange(metres);
        }}
      />
      {foreign && <div className="small-print mt-1">= {foreign}</div>}
      {hint && !error && !foreign && <div className="small-print mt-1">{hint}</div>}
      <Form.Control.Feedback type="invalid" id={`${id}-error`}>
        {error}
      </Form.Control.Feedback>
    </Form.Group>
  );
}
