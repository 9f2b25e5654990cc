import type { CSSProperties } from 'react';
import { requireCoach } from '@/server/actor';
import { PasswordForm } from '../account/password-form';
import { DeleteAcademy } from './delete-academy';
import { OwnTable } from './own-table';
import { SettingsForm } from './settings-form';

export async function SettingsRoom({ slug }: { slug: string }) {
  const { role, data, academy } = await requireCoach(slug);
  const own = await data.ownReference();
  const { name, units, timeZone, paceM, clubM, putterM, flagstickM, shoeM, halfLifeDays, strokesAs } = academy;
  const timeZones = [...new Set(['UTC', timeZone, ...Intl.supportedValuesOf('timeZone')])].sort();
  return (
    <div className="desk" style={{ '--side': '30rem' } as CSSProperties}>
      <section>
        <h1 className="mb-3">{name}</h1>
        <SettingsForm
          slug={slug}
          initial={{ units, timeZone, paceM, clubM, putterM, flagstickM, shoeM, halfLifeDays, strokesAs }}
          timeZones={timeZones}
        />
      </section>
      <aside>
        <PasswordForm />
        <OwnTable slug={slug} own={own && { name: own.name, skills: Object.keys(own.expected).length }} />
        {role === 'owner' && !academy.deleteAt && <DeleteAcademy slug={slug} name={name} />}
      </aside>
    </div>
  );
}
