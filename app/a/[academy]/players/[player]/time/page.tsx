import type { Metadata } from 'next';
import { TimeRoom } from '@/features/skill/rooms';

export const metadata: Metadata = { title: 'Over time' };

export default async function Page({ params, searchParams }: PageProps<'/a/[academy]/players/[player]/time'>) {
  const { academy, player } = await params;
  return <TimeRoom slug={academy} playerId={player} params={await searchParams} />;
}
