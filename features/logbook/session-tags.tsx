'use client';

import { useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { tagsSchema, tagsTyped } from '@/core/logbook/asked';
import { saveTagsAction } from '../session/actions';
import { NOT_SENT } from '../form/use-save';

type Props = { slug: string; sessionId: string; tags: readonly string[] };

/** What a session is filed under: a few words of the coach's own, by which the logbook finds it. */
export function SessionTags({ slug, sessionId, tags }: Props) {
  const [kept, setKept] = useState(tags.join(', '));
  const [text, setText] = useState(kept);
  const [wrong, setWrong] = useState('');
  const [saving, setSaving] = useState(false);
  const [saved, setSaved] = useState(false);
  const save = async () => {
    const read = tagsSchema.safeParse(tagsTyped(text));
    if (!read.success) return setWrong('At most ten tags of 30 letters each.');
    setSaving(true);
    const answer = await saveTagsAction(slug, sessionId, read.data).catch(() => null);
    setSaving(false);
    if (!answer?.ok) return setWrong(answer ? Object.values(answer.fields)[0]! : NOT_SENT);
    setWrong('');
    setSaved(true);
    setText(read.data.join(', '));
    setKept(read.data.join(', '));
  };
  return (
    <Form
      className="mb-4 no-print"
      onSubmit={(event) => {
        event.preventDefault();
        void save();
      }}
    >
      <Form.Group controlId="session-tags">
        <Form.Label>Tags</Form.Label>
        <div className="d-flex gap-2">
          <Form.Control
            value={text}
            placeholder="league, wet spring"
            isInvalid={wrong !== ''}
            aria-describedby="session-tags-wrong"
            onChange={({ target }) => setText(target.value)}
          />
          <Button type="submit" variant="outline-dark" disabled={saving || text === kept}>
            {saved && text === kept ? 'Saved' : 'Save'}
          </Button>
        </div>
        <p id="session-tags-wrong" className="text-danger fw-semibold mb-0" role={wrong ? 'alert' : undefined}>
          {wrong}
        </p>
      </Form.Group>
    </Form>
  );
}
