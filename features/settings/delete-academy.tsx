'use client';

import { useState, useTransition } from 'react';
import { Button, Form } from 'react-bootstrap';
import { NOT_SENT } from '../form/use-save';
import { deleteAcademyAction } from './actions';
import styles from './settings.module.scss';

/** Deletes all of an academy, a week after its name was typed. */
export function DeleteAcademy({ slug, name }: { slug: string; name: string }) {
  const [open, setOpen] = useState(false);
  const [typed, setTyped] = useState('');
  const [wrong, setWrong] = useState('');
  const [busy, begin] = useTransition();
  const ask = (event: React.FormEvent) => {
    event.preventDefault();
    begin(async () => {
      const done = await deleteAcademyAction(slug, typed).catch(() => null);
      setWrong(done?.ok ? '' : (done?.fields[''] ?? NOT_SENT));
      if (done?.ok) setOpen(false);
    });
  };
  return (
    <section className={styles.delete} aria-labelledby="delete">
      <h2 id="delete">Delete {name}</h2>
      <p className="mb-0">
        All players, games, greens and records go, for every coach and every player. It is done a week after you ask for it; until then one
        press takes it back.
      </p>
      {open ? (
        <Form noValidate onSubmit={ask} className="d-grid gap-2">
          <Form.Group controlId="delete-name">
            <Form.Label>
              Type <b>{name}</b> to delete it
            </Form.Label>
            <Form.Control
              value={typed}
              onChange={(event) => setTyped(event.target.value)}
              autoComplete="off"
              isInvalid={wrong !== ''}
              aria-describedby={wrong ? 'delete-name-error' : undefined}
            />
            <Form.Control.Feedback type="invalid" id="delete-name-error">
              {wrong}
            </Form.Control.Feedback>
          </Form.Group>
          <div className="d-flex gap-2">
            <Button type="submit" variant="dark" disabled={busy}>
              Delete in a week
            </Button>
            <Button variant="outline-dark" onClick={() => setOpen(false)}>
              Keep
            </Button>
          </div>
        </Form>
      ) : (
        <Button variant="outline-dark" onClick={() => setOpen(true)}>
          Delete …
        </Button>
      )}
    </section>
  );
}
