import type { Metadata } from 'next';
import { PlayerRoom } from '@/features/players/rooms';

export const metadata: Metadata = { title: 'Player' };

export default async function Page({ params, searchParams }: PageProps<'/a/[academy]/players/[player]'>) {
  const { academy, player } = await params;
  return <PlayerRoom slug={academy} playerId={player} asked={await searchParams} />;
}
