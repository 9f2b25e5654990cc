import type { Metadata } from 'next';
import { EditGameRoom } from '@/features/games/rooms';

export const metadata: Metadata = { title: 'Change a game' };

export default async function Page({ params }: PageProps<'/a/[academy]/games/[game]/edit'>) {
  const { academy, game } = await params;
  return <EditGameRoom slug={academy} gameId={game} />;
}
