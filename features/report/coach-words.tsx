'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { NOT_SENT } from '../form/use-save';
import { useReady } from '../form/use-ready';
import { saveWordsAction } from './actions';

/** What the coach writes under a report. */
export function CoachWords({ slug, playerId, words }: { slug: string; playerId: string; words: string }) {
  const ready = useReady();
  const router = useRouter();
  const [text, setText] = useState(words);
  const [wrong, setWrong] = useState('');
  const save = async () => {
    const answer = await saveWordsAction(slug, playerId, text).catch(() => null);
    if (!answer?.ok) return setWrong(answer ? Object.values(answer.fields)[0]! : NOT_SENT);
    setWrong('');
    router.refresh();
  };
  return (
    <Form
      onSubmit={(event) => {
        event.preventDefault();
        void save();
      }}
    >
      <Form.Group controlId="coach-words">
        <Form.Label>Your words in the report</Form.Label>
        <Form.Control
          as="textarea"
          rows={4}
          maxLength={1200}
          value={text}
          disabled={!ready}
          isInvalid={wrong !== ''}
          onChange={({ target }) => setText(target.value)}
        />
        <Form.Control.Feedback type="invalid">{wrong}</Form.Control.Feedback>
      </Form.Group>
      <Button type="submit" variant="outline-dark" className="mt-2" disabled={!ready || text === words}>
        Save
      </Button>
    </Form>
  );
}
