import type { Metadata } from 'next';
import { SessionRoom } from '@/features/logbook/rooms';

export const metadata: Metadata = { title: 'Session' };

export default async function Page({ params }: PageProps<'/a/[academy]/sessions/[session]'>) {
  const { academy, session } = await params;
  return <SessionRoom slug={academy} sessionId={session} />;
}
