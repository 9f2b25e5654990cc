import type { Metadata } from 'next';
import { LogbookRoom } from '@/features/logbook/rooms';

export const metadata: Metadata = { title: 'Logbook' };

export default async function Page({ params }: PageProps<'/a/[academy]/logbook'>) {
  const { academy } = await params;
  return <LogbookRoom slug={academy} />;
}
