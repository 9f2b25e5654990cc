'use client';

import { useState, useTransition, type ReactNode } from 'react';
import { Button, Form } from 'react-bootstrap';
import type { Refused } from './result';
import { NOT_SENT } from './use-save';

type Props = {
  id: string;
  /** What has to be typed. */
  name: string;
  /** What it does, behind the name: "to erase them". */
  purpose: string;
  button: string;
  act: (typed: string) => Promise<{ ok: true } | Refused>;
  onDone: () => void;
  onBack: () => void;
  className?: string | undefined;
  /** What there is to know before it is done. */
  children?: ReactNode;
};

/** Asks for a name to be typed before something is done that can't be undone. */
export function TypedName({ id, name, purpose, button, act, onDone, onBack, className, children }: Props) {
  const [typed, setTyped] = useState('');
  const [wrong, setWrong] = useState('');
  const [busy, begin] = useTransition();
  const submit = (event: React.FormEvent) => {
    event.preventDefault();
    begin(async () => {
      const done = await act(typed).catch(() => null);
      if (done?.ok) onDone();
      else setWrong(done?.fields[''] ?? NOT_SENT);
    });
  };
  return (
    <Form noValidate onSubmit={submit} className={className}>
      {children}
      <Form.Group controlId={id}>
        <Form.Label>
          Type <b>{name}</b> {purpose}
        </Form.Label>
        <Form.Control
          value={typed}
          onChange={(event) => setTyped(event.target.value)}
          autoComplete="off"
          isInvalid={wrong !== ''}
          aria-describedby={wrong ? `${id}-error` : undefined}
        />
        <Form.Control.Feedback type="invalid" id={`${id}-error`}>
          {wrong}
        </Form.Control.Feedback>
      </Form.Group>
      <div className="d-flex gap-2">
        <Button type="submit" variant="dark" disabled={busy}>
          {button}
        </Button>
        <Button variant="outline-dark" onClick={onBack}>
          Keep
        </Button>
      </div>
    </Form>
  );
}
