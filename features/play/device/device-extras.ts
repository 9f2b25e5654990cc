import { useEffect } from 'react';

/** Keeps the screen awake while somebody plays, where the device can; it is asked again whenever the page comes back. */
export function useAwake(active: boolean): void {
  useEffect(() => {
    if (!active || !('wakeLock' in navigator)) return;
    let lock: WakeLockSentinel | undefined;
    let over = false;
    const hold = async () => {
      if (document.visibilityState !== 'visible') return;
      const got = await navigator.wakeLock.request('screen').catch(() => undefined);
      if (over) void got?.release();
      else lock = got;
    };
    void hold();
    const back = () => void hold();
    document.addEventListener('visibilitychange', back);
    return () => {
      over = true;
      document.removeEventListener('visibilitychange', back);
      void lock?.release();
    };
  }, [active]);
}

const TICK_MS = 30;

/** A short shake of the device says that a ball was recorded, where the device can. */
export function shake(): void {
  // A browser lets nothing shake before somebody touched the page.
  if ('vibrate' in navigator && navigator.userActivation?.hasBeenActive !== false) navigator.vibrate(TICK_MS);
}

/** Two short shakes say that something was not taken. */
export function buzz(): void {
  if ('vibrate' in navigator) navigator.vibrate([TICK_MS, TICK_MS, TICK_MS]);
}
