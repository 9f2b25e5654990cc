import type { ReactNode } from 'react';
import { requireCoach } from '@/server/actor';
import { sayMoment } from '@/core/units/say-moment';
import { Ending } from '../settings/ending';
import { WithMeasures } from './own-measures';
import { Shell } from './shell';

/** The desk of a coach in an academy: nothing inside it is shown to anybody else. */
export async function Desk({ slug, children }: { slug: string; children: ReactNode }) {
  const { role, academy, userName } = await requireCoach(slug);
  const { name, deleteAt, timeZone, paceM, clubM, putterM, flagstickM, shoeM } = academy;
  return (
    <Shell academy={academy} userName={userName}>
      {deleteAt && <Ending slug={slug} name={name} on={sayMoment(deleteAt, timeZone)} mayKeep={role === 'owner'} />}
      <WithMeasures own={{ paceM, clubM, putterM, flagstickM, shoeM }}>{children}</WithMeasures>
    </Shell>
  );
}
