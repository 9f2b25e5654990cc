import type { Metadata } from 'next';
import { BoardRoom } from '@/features/logbook/rooms';

export const metadata: Metadata = { title: 'Live board' };

export default async function Page({ params }: PageProps<'/a/[academy]/sessions/[session]/board'>) {
  const { academy, session } = await params;
  return <BoardRoom slug={academy} sessionId={session} />;
}
