import type { Metadata } from 'next';
import { SettingsForm } from '@/features/settings/settings-form';
import { requireCoach } from '@/server/actor';

export const metadata: Metadata = { title: 'Settings' };

export default async function Settings({ params }: PageProps<'/a/[academy]/settings'>) {
  const { academy } = await requireCoach((await params).academy);
  const { slug, name, units, timeZone } = academy;
  const timeZones = [...new Set(['UTC', timeZone, ...Intl.supportedValuesOf('timeZone')])].sort();
  return (
    <div className="p-3 p-md-4">
      <h1 className="mb-3">{name}</h1>
      <SettingsForm slug={slug} initial={{ units, timeZone }} timeZones={timeZones} />
    </div>
  );
}
