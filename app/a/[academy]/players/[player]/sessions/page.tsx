import type { Metadata } from 'next';
import { SessionsRoom } from '@/features/players/rooms';

export const metadata: Metadata = { title: 'Sessions of a player' };

export default async function Page({ params }: PageProps<'/a/[academy]/players/[player]/sessions'>) {
  const { academy, player } = await params;
  return <SessionsRoom slug={academy} playerId={player} />;
}
