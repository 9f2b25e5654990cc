'use client';

import { useSyncExternalStore } from 'react';

const NARROW = '(max-width: 600px)';

/** Whether the screen is a phone's: drawings have fewer pixels there, so that what is written in them can be read. */
export function useNarrow(): boolean {
  return useSyncExternalStore(
    (listener) => {
      const query = window.matchMedia(NARROW);
      query.addEventListener('change', listener);
      return () => query.removeEventListener('change', listener);
    },
    () => window.matchMedia(NARROW).matches,
    () => false,
  );
}
