'use client';

import { useEffect, useState, type ReactNode } from 'react';
import { Form } from 'react-bootstrap';
import type { GreenPlan } from '@/core/green/plan';
import { readNumber } from '@/ui/length-input';
import { faultAt, useEditing } from './context';

type NumberBoxProps = {
  id: string;
  label: string;
  /** The unit, in small print. */
  word?: string;
  /** The figure as it is, in the unit of the field; null for none. */
  value: number | null;
  /** Whether it may be left empty. */
  optional?: boolean;
  /** The plan with another figure. */
  apply: (value: number | null) => GreenPlan;
  /** Where in the plan the figure stands: what the schema says about that place stands beside the field. */
  path: string;
};

/**
 * A figure of the plan. What can be used is used at once; what cannot stays as it was typed, with what is wrong beside
 * it, while the plan keeps the last figure that could.
 */
export function NumberBox({ id, label, word, value, optional = false, apply, path }: NumberBoxProps) {
  const { change, report } = useEditing();
  const shown = value === null ? '' : String(Math.round(value * 100) / 100);
  const [typed, setTyped] = useState<{ text: string; of: number | null; fault?: string | undefined }>({ text: shown, of: value });
  // Changed from elsewhere (a drag, undo): shown anew.
  if (differ(typed.of, value)) setTyped({ text: shown, of: value });
  const wrong = typed.fault !== undefined;
  useEffect(() => {
    report(id, wrong);
    return () => report(id, false);
  }, [id, wrong, report]);
  const take = (text: string) => {
    const number = readNumber(text);
    if (number === null ? !optional : Number.isNaN(number)) {
      setTyped({ text, of: value, fault: number === null ? 'Enter a number.' : 'That isn’t a number.' });
      return;
    }
    const plan = apply(number);
    const fault = faultAt(plan, path);
    setTyped({ text, of: fault ? value : number, fault });
    if (!fault) change(plan, id);
  };
  return (
    <Form.Group controlId={id}>
      <Form.Label>
        {label} {word && <span className="small-print">{word}</span>}
      </Form.Label>
      <Form.Control
        className="fig"
        inputMode="decimal"
        autoComplete="off"
        value={typed.text}
        isInvalid={wrong}
        aria-describedby={wrong ? `${id}-error` : undefined}
        onChange={(event) => take(event.target.value)}
        onBlur={() => !wrong && setTyped({ text: shown, of: value })}
      />
      <Form.Control.Feedback type="invalid" id={`${id}-error`}>
        {typed.fault}
      </Form.Control.Feedback>
    </Form.Group>
  );
}

/** Whether two figures differ by more than what the grid of the plan makes of one that was typed. */
function differ(a: number | null, b: number | null): boolean {
  return a === null || b === null ? a !== b : Math.abs(a - b) > 0.006;
}

type TextBoxProps = { id: string; label: string; value: string; maxLength: number; apply: (value: string) => GreenPlan; path: string };

/** A name on the plan. */
export function TextBox({ id, label, value, maxLength, apply, path }: TextBoxProps) {
  const { plan, change, report } = useEditing();
  const fault = faultAt(plan, path);
  const wrong = fault !== undefined;
  useEffect(() => {
    report(id, wrong);
    return () => report(id, false);
  }, [id, wrong, report]);
  return (
    <Form.Group controlId={id}>
      <Form.Label>{label}</Form.Label>
      <Form.Control
        autoComplete="off"
        value={value}
        maxLength={maxLength}
        isInvalid={wrong}
        aria-describedby={wrong ? `${id}-error` : undefined}
        onChange={(event) => change(apply(event.target.value), id)}
      />
      <Form.Control.Feedback type="invalid" id={`${id}-error`}>
        {fault}
      </Form.Control.Feedback>
    </Form.Group>
  );
}

type PickProps = {
  id: string;
  label: ReactNode;
  value: string;
  options: readonly (readonly [string, string])[];
  onPick: (value: string) => void;
};

/** A choice of words. */
export function Pick({ id, label, value, options, onPick }: PickProps) {
  return (
    <Form.Group controlId={id}>
      <Form.Label>{label}</Form.Label>
      <Form.Select value={value} onChange={(event) => onPick(event.target.value)}>
        {options.map(([key, text]) => (
          <option key={key} value={key}>
            {text}
          </option>
        ))}
      </Form.Select>
    </Form.Group>
  );
}
