import { useSyncExternalStore } from 'react';

const subscribe = (onChange: () => void) => {
  window.addEventListener('hashchange', onChange);
  return () => window.removeEventListener('hashchange', onChange);
};

/** What stands after # in the address: it is not sent to any server by opening it. Null while the page is not here yet. */
export function useFragment(): string | null {
  return useSyncExternalStore(
    subscribe,
    () => window.location.hash.slice(1),
    () => null,
  );
}
