'use client';

import type { ReactNode } from 'react';
import { Button, Form } from 'react-bootstrap';
import { useForm } from 'react-hook-form';
import type { Refused } from './result';
import { Submit } from './submit';
import { useSave } from './use-save';

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
  const form = useForm({ defaultValues: { typed: '' } });
  const { errors, isSubmitting } = form.formState;
  const submit = useSave(form, ({ typed }) => act(typed), onDone);
  // Whatever is refused is about the one field there is.
  const wrong = errors.root?.message;
  return (
    <Form noValidate onSubmit={submit} className={className}>
      {children}
      <Form.Group controlId={id}>
        <Form.Label>
          Type <b>{name}</b> {purpose}
        </Form.Label>
        <Form.Control
          {...form.register('typed')}
          autoComplete="off"
          isInvalid={wrong !== undefined}
          aria-describedby={wrong ? `${id}-error` : undefined}
        />
        <Form.Control.Feedback type="invalid" id={`${id}-error`}>
          {wrong}
        </Form.Control.Feedback>
      </Form.Group>
      <div className="d-flex gap-2">
        <Submit variant="dark" busy={isSubmitting}>
          {button}
        </Submit>
        <Button variant="outline-dark" onClick={onBack}>
          Keep
        </Button>
      </div>
    </Form>
  );
}
