import type { Metadata } from 'next';
import { SettingsRoom } from '@/features/settings/settings-room';

export const metadata: Metadata = { title: 'Settings' };

export default async function Page({ params }: PageProps<'/a/[academy]/settings'>) {
  const { academy } = await params;
  return <SettingsRoom slug={academy} />;
}
