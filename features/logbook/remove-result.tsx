'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { Button } from 'react-bootstrap';
import { useReady } from '../form/use-ready';
import { removeResultAction } from '../imports/actions';

/** Takes a result away that was noted by hand, once it is confirmed. */
export function RemoveResult({ slug, sessionId }: { slug: string; sessionId: string }) {
  const ready = useReady();
  const router = useRouter();
  const [asked, setAsked] = useState(false);
  if (!asked)
    return (
      <Button variant="outline-dark" disabled={!ready} onClick={() => setAsked(true)}>
        Remove
      </Button>
    );
  return (
    <>
      <Button
        variant="danger"
        onClick={() => {
          void removeResultAction(slug, sessionId).then(() => router.push(`/a/${slug}/logbook`));
        }}
      >
        Yes, remove it
      </Button>
      <Button variant="outline-dark" onClick={() => setAsked(false)}>
        Keep it
      </Button>
    </>
  );
}
