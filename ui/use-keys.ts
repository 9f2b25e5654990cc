import { useLayoutEffect } from 'react';

/**
 * Hears the keys of a keyboard, wherever the focus is. Who hears them is changed together with what is drawn, not a moment later: somebody who
 * types fast would otherwise press the next key while the one before it is not counted yet.
 * @param hear null: no key is heard
 */
export function useKeys(hear: ((event: KeyboardEvent) => void) | null): void {
  useLayoutEffect(() => {
    if (!hear) return;
    window.addEventListener('keydown', hear);
    return () => window.removeEventListener('keydown', hear);
  });
}
