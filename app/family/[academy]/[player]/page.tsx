import type { Metadata } from 'next';
import { ChildRoom } from '@/features/families/rooms';

export const metadata: Metadata = { title: 'How it’s going' };

export default async function Page({ params }: PageProps<'/family/[academy]/[player]'>) {
  const { academy, player } = await params;
  return <ChildRoom slug={academy} playerId={player} />;
}
