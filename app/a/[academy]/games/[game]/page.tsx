import type { Metadata } from 'next';
import { GameRoom } from '@/features/games/rooms';

export const metadata: Metadata = { title: 'Game' };

export default async function Page({ params, searchParams }: PageProps<'/a/[academy]/games/[game]'>) {
  const { academy, game } = await params;
  return <GameRoom slug={academy} gameId={game} again={(await searchParams)['with']} />;
}
