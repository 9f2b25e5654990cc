import Link from 'next/link';
import type { CSSProperties } from 'react';
import { requireCoach, requireOwner } from '@/server/actor';
import { sayDay } from '@/core/units/say-moment';
import { ArchivePanel } from './archive-panel';
import { DeleteAcademy } from './delete-academy';
import { Keys } from './keys';
import { OwnTable } from './own-table';
import { sayBackups } from './say-backups';
import { SettingsForm } from './settings-form';

export async function SettingsRoom({ slug }: { slug: string }) {
  const { role, data, academy } = await requireCoach(slug);
  const owner = role === 'owner' ? await requireOwner(slug) : null;
  const now = new Date();
  const keys = owner ? await owner.data.listTokens(now) : [];
  const backups = owner ? await owner.data.lastBackups() : null;
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
        <OwnTable slug={slug} own={own && { name: own.name, skills: Object.keys(own.expected).length }} />
        {owner && <ArchivePanel slug={slug} name={name} />}
      </section>
      <aside>
        <section aria-labelledby="own-account">
          <h2 id="own-account" className="mb-3">
            Your account
          </h2>
          <p>
            <Link href="/account">Password, two-step sign-in, and where you’re signed in</Link>
          </p>
        </section>
        <section aria-labelledby="people" className="mt-4">
          <h2 id="people">Coaches and assistants</h2>
          <p className="mb-0">
            <Link href={`/a/${slug}/settings/people`}>
              {owner ? 'Invite somebody, or change what they can do' : 'Who they are, and what each can do'}
            </Link>
          </p>
        </section>
        {owner && (
          <section aria-labelledby="activity" className="mt-4">
            <h2 id="activity">Activity</h2>
            <p className="mb-0">
              <Link href={`/a/${slug}/settings/activity`}>Who changed or viewed what</Link>
            </p>
          </section>
        )}
        {backups && (
          <section aria-labelledby="storage" className="mt-4">
            <h2 id="storage">Storage and phones</h2>
            <p className="mb-0">
              {sayBackups(backups, timeZone, now)}{' '}
              <Link href={`/a/${slug}/settings/storage`}>What’s stored, for how long, and which phones are silent</Link>
            </p>
          </section>
        )}
        {owner && (
          <Keys
            slug={slug}
            keys={keys.map(({ tokenId, name: what, scopes, by, createdAt, expiresAt, lastUsedAt }) => ({
              ...{ tokenId, name: what, scopes },
              said: [
                `by ${by}, ${sayDay(createdAt, timeZone, now)}`,
                expiresAt ? `until ${sayDay(expiresAt, timeZone, now)}` : 'until it’s revoked',
                lastUsedAt ? `last used ${sayDay(lastUsedAt, timeZone, now)}` : 'not used yet',
              ].join(', '),
            }))}
          />
        )}
        {owner && !academy.deleteAt && <DeleteAcademy slug={slug} name={name} />}
      </aside>
    </div>
  );
}
