'use client';

import { useRouter } from 'next/navigation';
import { useEffect } from 'react';

/** First after so long, then after twice as long each time, up to a minute. */
const FIRST_MS = 1500;
const MOST_MS = 60_000;

/** Loads a page's data again while some of it is still being worked out. */
export function RefreshWhile({ pending }: { pending: boolean }) {
  const router = useRouter();
  useEffect(() => {
    if (!pending) return;
    let wait = FIRST_MS;
    let timer: ReturnType<typeof setTimeout>;
    const again = () => {
      timer = setTimeout(() => {
        router.refresh();
        wait = Math.min(MOST_MS, 2 * wait);
        again();
      }, wait);
    };
    again();
    return () => clearTimeout(timer);
  }, [pending, router]);
  return null;
}
