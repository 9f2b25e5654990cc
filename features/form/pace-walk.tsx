'use client';

import { useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { ownLengths } from '@/core/measures/own-lengths';
import { calibrationM, paceFrom } from '@/core/measures/hands';
import { formatLength } from '@/core/units/format';
import type { UnitSystem } from '@/core/units/length';
import { readNumber } from '@/ui/length-input';

type Props = {
  units: UnitSystem;
  paceM: number | null;
  /** Takes the pace that was found, in metres; answers whether it was kept. */
  onPace: (metres: number) => void | Promise<boolean>;
};

/** Finds out how long somebody's pace is: walk 20 yd, or 20 m, and count. */
export function PaceWalk({ units, paceM, onPace }: Props) {
  const [open, setOpen] = useState(false);
  const [text, setText] = useState('');
  const [fault, setFault] = useState<string | null>(null);
  const unit = units === 'metric' ? 'm' : 'yd';
  const paces = readNumber(text);
  const found = paces !== null && paces > 0 ? paceFrom(calibrationM(units), paces) : null;
  const take = async () => {
    const parsed = ownLengths.paceM.safeParse(found ?? Number.NaN);
    if (!parsed.success || parsed.data === null)
      return setFault(found === null ? 'Enter the number of paces.' : parsed.error!.issues[0]!.message);
    setFault(null);
    if ((await onPace(parsed.data)) === false) return setFault('Not saved: no connection. Try again.');
    setOpen(false);
  };
  if (!open)
    return (
      <Button variant="outline-dark" onClick={() => setOpen(true)}>
        {paceM === null ? 'Measure a pace' : 'Measure the pace again'}
      </Button>
    );
  return (
    <div className="d-flex flex-wrap gap-2 align-items-end">
      <Form.Group controlId="pace-walk">
        <Form.Label>Walk 20 {unit} and count</Form.Label>
        <Form.Control
          className="fig"
          style={{ width: '8rem' }}
          inputMode="decimal"
          autoComplete="off"
          value={text}
          isInvalid={fault !== null}
          aria-describedby={fault ? 'pace-walk-error' : undefined}
          onChange={(event) => setText(event.target.value)}
          onKeyDown={(event) => {
            if (event.key !== 'Enter') return;
            // Not the form that this may stand in.
            event.preventDefault();
            void take();
          }}
        />
        <Form.Control.Feedback type="invalid" id="pace-walk-error">
          {fault}
        </Form.Control.Feedback>
      </Form.Group>
      <Button variant="outline-dark" onClick={() => void take()}>
        Keep it
      </Button>
      <span className="small-print align-self-center">
        {found !== null && found < 3 && `${formatLength(found, units === 'metric' ? 'm' : 'in', units === 'metric' ? 2 : 0)} each`}
      </span>
    </div>
  );
}
