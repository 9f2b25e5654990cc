import { usePathname, useRouter, useSearchParams } from 'next/navigation';
import { useTransition } from 'react';
import { ALL } from './first-of';
import type { Others } from './use-show-all';

/** The others of a list of which so many of so many are here; null: all are. Asking for them changes the address, and nothing else. */
export function useOthers(here: number, of: number): Others | null {
  const router = useRouter();
  const path = usePathname();
  const query = useSearchParams();
  const [asked, begin] = useTransition();
  if (here >= of) return null;
  const ask = () => {
    if (asked) return;
    const whole = new URLSearchParams(query);
    whole.set(ALL, 'yes');
    begin(() => router.replace(`${path}?${whole}`, { scroll: false }));
  };
  return { of, ask, asked };
}
