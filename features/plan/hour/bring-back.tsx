'use client';

import { useState } from 'react';
import { Button } from 'react-bootstrap';
import { archiveHourAction } from './actions';

/** Brings an hour back that was put away. */
export function BringBack({ slug, hourId }: { slug: string; hourId: string }) {
  const [busy, setBusy] = useState(false);
  const bring = () => {
    setBusy(true);
    void archiveHourAction(slug, hourId, false).finally(() => setBusy(false));
  };
  return (
    <Button size="sm" variant="outline-dark" disabled={busy} onClick={bring}>
      Bring back
    </Button>
  );
}
