import type { Metadata } from 'next';
import { PuttingRoom } from '@/features/skill/rooms';

export const metadata: Metadata = { title: 'Putting' };

export default async function Page({ params, searchParams }: PageProps<'/a/[academy]/players/[player]/putting'>) {
  const { academy, player } = await params;
  return <PuttingRoom slug={academy} playerId={player} params={await searchParams} />;
}
