import { useSyncExternalStore } from 'react';

const never = () => () => undefined;

/** Whether the page's script runs: before it does, whatever needs it must not look as if it could be pressed, nor be drawn. */
export function useReady(): boolean {
  return useSyncExternalStore(
    never,
    () => true,
    () => false,
  );
}
