'use client';

import { useState } from 'react';
import type { Refused } from './result';

/** What is said where a press of a button could not be sent. */
const NOT_DONE = 'No connection. Try again.';

/** Buttons that do something at once: while it is done none can be pressed again, and what was in the way is said. */
export function usePress() {
  const [busy, setBusy] = useState(false);
  const [wrong, setWrong] = useState<string>();
  async function press<Done extends { ok: true }>(act: () => Promise<Done | Refused>, then: (done: Done) => void) {
    setBusy(true);
    const came = await act().catch(() => null);
    setBusy(false);
    setWrong(came?.ok ? undefined : (came?.fields[''] ?? NOT_DONE));
    if (came?.ok) then(came);
  }
  return { busy, wrong, press };
}
