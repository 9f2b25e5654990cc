import type { Metadata } from 'next';
import { LogbookRoom } from '@/features/logbook/rooms';

export const metadata: Metadata = { title: 'Logbook' };

export default async function Page({ params, searchParams }: PageProps<'/a/[academy]/logbook'>) {
  const [{ academy }, asked] = await Promise.all([params, searchParams]);
  return <LogbookRoom slug={academy} params={asked} />;
}
