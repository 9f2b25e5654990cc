'use client';

import type { ReactNode } from 'react';
import { Button, Form } from 'react-bootstrap';
import { PrintButton } from '../form/print-button';
import styles from './plan-head.module.scss';

type Props = {
  title: string;
  wrong: string | undefined;
  onTitle: (title: string) => void;
  /** Takes the last step back; null where there is none. */
  onUndo: (() => void) | null;
  /** Whether something is not saved yet, and whether it can be now. */
  dirty: boolean;
  canSave: boolean;
  onSave: () => void;
  /** What can be done with a plan that is saved. */
  children?: ReactNode;
};

/** The head of a plan: its title, typed where it stands, and its keys. */
export function PlanHead({ title, wrong, onTitle, onUndo, dirty, canSave, onSave, children }: Props) {
  return (
    <div className={styles.head}>
      <Form.Group controlId="title" className={styles.titleField}>
        <Form.Control
          as="textarea"
          rows={1}
          className={styles.h1}
          aria-label="Title"
          maxLength={80}
          value={title}
          isInvalid={wrong !== undefined}
          onChange={({ target }) => onTitle(target.value.replaceAll('\n', ' '))}
        />
        <Form.Control.Feedback type="invalid">{wrong}</Form.Control.Feedback>
      </Form.Group>
      <div className={`${styles.keys} no-print`}>
        <Button variant="outline-dark" disabled={onUndo === null} onClick={() => onUndo?.()}>
          Undo
        </Button>
        <PrintButton variant="outline-dark" />
        <Button variant={dirty ? 'primary' : 'outline-dark'} disabled={!dirty || !canSave} onClick={onSave}>
          {dirty ? 'Save' : 'Saved'}
        </Button>
        {!dirty && children}
      </div>
    </div>
  );
}
