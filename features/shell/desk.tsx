import type { ReactNode } from 'react';
import { requireDesk } from '@/server/actor';
import { sayMoment } from '@/core/units/say-moment';
import { Ending } from '../settings/ending';
import { WithMeasures } from './own-measures';
import { Shell } from './shell';

/** The desk of an academy: nothing inside it is shown to whoever doesn’t work there. */
export async function Desk({ slug, children }: { slug: string; children: ReactNode }) {
  const { coach, academy, userName } = await requireDesk(slug);
  const { name, deleteAt, timeZone, paceM, clubM, putterM, flagstickM, shoeM } = academy;
  return (
    <Shell academy={academy} userName={userName} mayChange={coach !== null}>
      {deleteAt && <Ending slug={slug} name={name} on={sayMoment(deleteAt, timeZone)} mayKeep={coach?.role === 'owner'} />}
      <WithMeasures own={{ paceM, clubM, putterM, flagstickM, shoeM }}>{children}</WithMeasures>
    </Shell>
  );
}
