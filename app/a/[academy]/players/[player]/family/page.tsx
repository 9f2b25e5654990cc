import type { Metadata } from 'next';
import { FamilyRoom } from '@/features/families/rooms';

export const metadata: Metadata = { title: 'Family' };

export default async function Page({ params }: PageProps<'/a/[academy]/players/[player]/family'>) {
  const { academy, player } = await params;
  return <FamilyRoom slug={academy} playerId={player} />;
}
