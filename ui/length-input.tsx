'use client';

import { useState } from 'react';
import { Form } from 'react-bootstrap';
import { fromMetres, toMetres, type LengthUnit } from '@/core/units/length';

type Props = {
  id: string;
  label: string;
  /** Metres; null for empty, NaN for what is no number. */
  value: number | null;
  onChange: (metres: number | null) => void;
  onBlur?: () => void;
  unit: LengthUnit;
  error?: string | undefined;
  inputRef?: React.Ref<HTMLInputElement>;
  className?: string;
};

/** Reads a number as people type it: "6,5" is 6.5; nothing is null; what is no number is NaN. */
export function readNumber(text: string): number | null {
  const tidy = text.trim().replace(',', '.');
  return tidy === '' ? null : Number(tidy);
}

const UNIT_WORDS: Readonly<Record<LengthUnit, string>> = { m: 'metres', yd: 'yards', ft: 'feet', in: 'inches' };

/** A length, typed in the coach's unit and kept in metres. What was typed stays as it was typed, right or wrong. */
export function LengthInput({ id, label, value, onChange, onBlur, unit, error, inputRef, className }: Props) {
  const shown = value === null || Number.isNaN(value) ? '' : String(fromMetres(value, unit));
  const [typed, setTyped] = useState({ text: shown, unit, metres: value });
  // Another unit, or another value from outside, shows anew; what the user types is left alone.
  if (typed.unit !== unit || (!Object.is(typed.metres, value) && typed.unit === unit)) setTyped({ text: shown, unit, metres: value });
  return (
    <Form.Group controlId={id} className={className}>
      <Form.Label>
        {label} <span className="small-print">{UNIT_WORDS[unit]}</span>
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
          const metres = number === null || Number.isNaN(number) ? number : toMetres(number, unit);
          setTyped({ text: event.target.value, unit, metres });
          onChange(metres);
        }}
      />
      <Form.Control.Feedback type="invalid" id={`${id}-error`}>
        {error}
      </Form.Control.Feedback>
    </Form.Group>
  );
}
