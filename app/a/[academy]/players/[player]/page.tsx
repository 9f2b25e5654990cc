import type { Metadata } from 'next';
import { BoardRoom } from '@/features/skill/rooms';

export const metadata: Metadata = { title: 'Skills' };

export default async function Page({ params, searchParams }: PageProps<'/a/[academy]/players/[player]'>) {
  const { academy, player } = await params;
  return <BoardRoom slug={academy} playerId={player} params={await searchParams} />;
}
