import { useEffect } from 'react';

/** Asks before a page with changes that are not saved is closed. */
export function useLeaveWarning(active: boolean): void {
  useEffect(() => {
    if (!active) return;
    const ask = (event: BeforeUnloadEvent) => event.preventDefault();
    window.addEventListener('beforeunload', ask);
    return () => window.removeEventListener('beforeunload', ask);
  }, [active]);
}
