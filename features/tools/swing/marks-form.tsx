'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { MOST_MARKS, swingMarksSchema } from '@/core/people/player';
import { saveSwingMarksAction } from '../actions';
import styles from './swing.module.scss';

type Props = { slug: string; playerId: string; initial: readonly string[] };

const USUAL = ['knee', 'hip', 'chest', 'shoulder'];

/** A player's own names for how far the hands go, from low to high: they are offered at the green. */
export function MarksForm({ slug, playerId, initial }: Props) {
  const router = useRouter();
  const [marks, setMarks] = useState<readonly string[]>(initial.length > 0 ? initial : USUAL);
  const [fault, setFault] = useState<{ at: number | null; says: string } | null>(null);
  const [state, setState] = useState<'as it was' | 'changed' | 'saving' | 'saved'>(initial.length > 0 ? 'as it was' : 'changed');
  const set = (next: readonly string[]) => {
    setMarks(next);
    setState('changed');
    setFault(null);
  };
  const save = async () => {
    const kept = marks.map((mark) => mark.trim()).filter(Boolean);
    const read = swingMarksSchema.safeParse(kept);
    if (!read.success) {
      const issue = read.error.issues[0]!;
      setFault({ at: typeof issue.path[0] === 'number' ? issue.path[0] : null, says: issue.message });
      return;
    }
    setState('saving');
    const result = await saveSwingMarksAction(slug, playerId, read.data).catch(() => null);
    if (!result?.ok) {
      setState('changed');
      setFault({
        at: null,
        says: result ? (Object.values(result.fields)[0] ?? 'Not saved. Try again.') : 'Not saved: no connection. Try again.',
      });
      return;
    }
    setMarks(read.data);
    setState('saved');
    router.refresh();
  };
  return (
    <section aria-label="Marks">
      <h2>Marks of the hands</h2>
      <p className="small-print mb-2">
        Your own names, from the shortest swing to the longest. They’re offered with each ball at the green.
      </p>
      <div className={styles.marks}>
        {marks.map((mark, i) => (
          <span key={i}>
            <Form.Control
              aria-label={`Mark ${i + 1}`}
              value={mark}
              maxLength={20}
              isInvalid={fault?.at === i}
              onChange={({ target }) => set(marks.map((one, n) => (n === i ? target.value : one)))}
            />
            <Button variant="outline-dark" aria-label={`Remove mark ${i + 1}`} onClick={() => set(marks.filter((_, n) => n !== i))}>
              ×
            </Button>
          </span>
        ))}
        {marks.length < MOST_MARKS && (
          <Button variant="outline-dark" onClick={() => set([...marks, ''])}>
            Add
          </Button>
        )}
        <Button variant="primary" disabled={state === 'saving' || state === 'as it was' || state === 'saved'} onClick={() => void save()}>
          {state === 'saved' ? 'Saved' : 'Save marks'}
        </Button>
      </div>
      {fault && (
        <p className="invalid-feedback d-block mb-0" role="alert">
          {fault.says}
        </p>
      )}
    </section>
  );
}
