'use client';

import { zodResolver } from '@hookform/resolvers/zod';
import { useRouter } from 'next/navigation';
import { Button, Form } from 'react-bootstrap';
import { useForm } from 'react-hook-form';
import { playerNoteSchema, type PlayerNote } from '@/core/people/note';
import { FormAlert } from '../form/form-alert';
import { newId } from '../form/ids';
import { Submit } from '../form/submit';
import { useSave } from '../form/use-save';
import { addPlayerNoteAction, removePlayerNoteAction } from './actions';
import styles from './players.module.scss';

type Line = { noteId: string; by: string; text: string; written: string; mine: boolean };
type Props = { slug: string; player: { playerId: string; name: string }; notes: readonly Line[] };

/** What coaches write about a player, with name and day; the player doesn't see it. */
export function CoachNotes({ slug, player, notes }: Props) {
  const router = useRouter();
  const form = useForm<PlayerNote>({ resolver: zodResolver(playerNoteSchema), defaultValues: { text: '' } });
  const { errors, isSubmitting } = form.formState;
  const submit = useSave(
    form,
    (note) => addPlayerNoteAction(slug, player.playerId, newId(), note),
    () => {
      form.reset();
      router.refresh();
    },
  );
  return (
    <section className={styles.coachNotes} aria-labelledby="coach-notes">
      <h2 id="coach-notes">Coaches’ notes</h2>
      <Form noValidate onSubmit={submit} className="d-grid gap-2">
        <Form.Group controlId="coach-note">
          <Form.Label>New note. Only coaches read it, unless the family asks for everything about the player.</Form.Label>
          <Form.Control as="textarea" rows={3} maxLength={1000} isInvalid={!!errors.text} {...form.register('text')} />
          <Form.Control.Feedback type="invalid">{errors.text?.message}</Form.Control.Feedback>
        </Form.Group>
        <FormAlert message={errors.root?.message} />
        <div>
          <Submit busy={isSubmitting} variant="outline-dark">
            Add note
          </Submit>
        </div>
      </Form>
      <ul>
        {notes.map(({ noteId, by, text, written, mine }) => (
          <li key={noteId}>
            <p>{text}</p>
            <small>
              {by || 'A coach'}, {written}
              {mine && (
                <Button
                  variant="link"
                  size="sm"
                  aria-label={`Remove the note “${text.slice(0, 40)}”`}
                  onClick={() => void removePlayerNoteAction(slug, noteId).then(() => router.refresh())}
                >
                  Remove
                </Button>
              )}
            </small>
          </li>
        ))}
      </ul>
    </section>
  );
}
