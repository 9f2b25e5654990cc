'use client';

import { useRouter } from 'next/navigation';
import { useEffect } from 'react';

/** Sends what this device recorded and nobody has heard of yet: balls of a game that was left at once, or played without a network. */
export function SendWaiting() {
  const router = useRouter();
  useEffect(() => {
    const send = async () => {
      const { countWaiting, nextStart } = await import('../play/device/store');
      if ((await countWaiting()) === 0 && !(await nextStart())) return;
      const { sendWaiting } = await import('../play/device/sync');
      await sendWaiting();
      router.refresh();
    };
    // A browser that keeps nothing has nothing to send.
    void send().catch(() => undefined);
  }, [router]);
  return null;
}
