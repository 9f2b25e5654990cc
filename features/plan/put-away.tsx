'use client';

import { useRouter } from 'next/navigation';
import { Button } from 'react-bootstrap';

type Props = { slug: string; words: string; putAway: () => Promise<{ ok: boolean }> };

/** Puts a plan away, and goes to the others. */
export function PutAway({ slug, words, putAway }: Props) {
  const router = useRouter();
  return (
    <Button
      size="sm"
      variant="outline-dark"
      onClick={() => {
        void putAway().then(({ ok }) => ok && router.push(`/a/${slug}/plan`));
      }}
    >
      {words}
    </Button>
  );
}
