import type { Metadata } from 'next';
import { PlayersRoom } from '@/features/players/rooms';

export const metadata: Metadata = { title: 'Players' };

export default async function Page({ params }: PageProps<'/a/[academy]/players'>) {
  const { academy } = await params;
  return <PlayersRoom slug={academy} />;
}
