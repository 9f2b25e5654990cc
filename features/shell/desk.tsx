import type { ReactNode } from 'react';
import { requireCoach } from '@/server/actor';
import { Shell } from './shell';

/** The desk of a coach in an academy: nothing inside it is shown to anybody else. */
export async function Desk({ slug, children }: { slug: string; children: ReactNode }) {
  const { academy, userName } = await requireCoach(slug);
  return (
    <Shell academy={academy} userName={userName}>
      {children}
    </Shell>
  );
}
