'use client';

import { useState } from 'react';
import { Button } from 'react-bootstrap';
import { TypedName } from '../form/typed-name';
import { deleteAcademyAction } from './actions';
import styles from './settings.module.scss';

/** Deletes all of an academy, a week after its name was typed. */
export function DeleteAcademy({ slug, name }: { slug: string; name: string }) {
  const [open, setOpen] = useState(false);
  const close = () => setOpen(false);
  return (
    <section className={styles.delete} aria-labelledby="delete">
      <h2 id="delete">Delete {name}</h2>
      <p className="mb-0">
        This deletes every player, game, green and record, for everyone. It happens a week after you ask; until then you can change your
        mind.
      </p>
      {open ? (
        <TypedName
          id="delete-name"
          name={name}
          purpose="to delete it"
          button="Delete in a week"
          act={(typed) => deleteAcademyAction(slug, typed)}
          onDone={close}
          onBack={close}
          className="d-grid gap-2"
        />
      ) : (
        <Button variant="outline-dark" onClick={() => setOpen(true)}>
          Delete …
        </Button>
      )}
    </section>
  );
}
