'use client';

import { useState } from 'react';
import { Button } from 'react-bootstrap';

/** Brings back what was put away. @param bring the action that does it */
export function BringBack({ bring }: { bring: () => Promise<unknown> }) {
  const [busy, setBusy] = useState(false);
  return (
    <Button
      size="sm"
      variant="outline-dark"
      disabled={busy}
      onClick={() => {
        setBusy(true);
        void bring().finally(() => setBusy(false));
      }}
    >
      Bring back
    </Button>
  );
}
