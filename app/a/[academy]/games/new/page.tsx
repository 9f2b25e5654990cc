import type { Metadata } from 'next';
import { NewGameRoom } from '@/features/games/rooms';

export const metadata: Metadata = { title: 'A new game' };

export default async function Page({ params }: PageProps<'/a/[academy]/games/new'>) {
  const { academy } = await params;
  return <NewGameRoom slug={academy} />;
}
