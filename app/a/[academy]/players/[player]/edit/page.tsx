import type { Metadata } from 'next';
import { EditPlayerRoom } from '@/features/players/rooms';

export const metadata: Metadata = { title: 'Change a player' };

export default async function Page({ params }: PageProps<'/a/[academy]/players/[player]/edit'>) {
  const { academy, player } = await params;
  return <EditPlayerRoom slug={academy} playerId={player} />;
}
