'use client';

import { usePathname, useRouter } from 'next/navigation';
import { useOptimistic, useTransition } from 'react';

/**
 * What a page is asked, as it stands in its address, and a way to change that. What is chosen counts at once: a second choice may come before
 * the first is answered.
 * @param asQuery the address part of what is asked
 */
export function useAsked<Asked>(answered: Asked, asQuery: (asked: Asked) => string) {
  const router = useRouter();
  const path = usePathname();
  const [pending, begin] = useTransition();
  const [asked, choose] = useOptimistic(answered);
  const go = (change: Partial<Asked>) =>
    begin(() => {
      const next = { ...asked, ...change };
      choose(next);
      router.replace(path + asQuery(next), { scroll: false });
    });
  return { asked, pending, go };
}
