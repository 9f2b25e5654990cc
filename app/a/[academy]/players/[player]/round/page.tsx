import type { Metadata } from 'next';
import { RoundMixRoom } from '@/features/skill/rooms';

export const metadata: Metadata = { title: 'Round mix' };

export default async function Page({ params }: PageProps<'/a/[academy]/players/[player]/round'>) {
  const { academy, player } = await params;
  return <RoundMixRoom slug={academy} playerId={player} />;
}
