'use client';

import { useState } from 'react';
import { Form } from 'react-bootstrap';
import { decimal } from '@/core/units/decimal';
import { fromMetres, snap, toMetres, type LengthUnit } from '@/core/units/length';

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

/** A length, typed in the coach's unit and kept in metres. What was typed stays as it was typed, right or wrong. */
export function LengthInput({ id, label, value, onChange, onBlur, unit, error, inputRef, className, hint }: Props) {
  const shown = value === null || Number.isNaN(value) ? '' : String(inUnit(value, unit));
  const word = typeof unit === 'string' ? UNIT_WORDS[unit] : unit.word;
  const measure = typeof unit === 'string' ? unit : `${unit.word} of ${unit.metres}`;
  const [typed, setTyped] = useState({ text: shown, measure, metres: value });
  // Another unit, or another value from outside, shows anew; what the user types is left alone.
  if (typed.measure !== measure || !Object.is(typed.metres, value)) setTyped({ text: shown, measure, metres: value });
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
          const number = readNumber(event.target.value);
          const metres = number === null || Number.isNaN(number) ? number : ofUnit(number, unit);
          setTyped({ text: event.target.value, measure, metres });
          onChange(metres);
        }}
      />
      {hint && !error && <div className="small-print mt-1">{hint}</div>}
      <Form.Control.Feedback type="invalid" id={`${id}-error`}>
        {error}
      </Form.Control.Feedback>
    </Form.Group>
  );
}
