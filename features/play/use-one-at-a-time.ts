import { useCallback, useRef, useState } from 'react';

/** A second press within this time is the same press: thumbs bounce. */
const BOUNCE_MS = 350;

/** Runs one thing at a time and ignores what is pressed meanwhile and right after: `[busy, once]`. */
export function useOneAtATime(): [boolean, (run: () => Promise<unknown>) => void] {
  const running = useRef(false);
  const [busy, setBusy] = useState(false);
  const once = useCallback((run: () => Promise<unknown>) => {
    if (running.current) return;
    running.current = true;
    setBusy(true);
    const rest = new Promise((resolve) => setTimeout(resolve, BOUNCE_MS));
    void Promise.allSettled([run(), rest]).then(() => {
      running.current = false;
      setBusy(false);
    });
  }, []);
  return [busy, once];
}
