import type { Metadata } from 'next';
import { GamesRoom } from '@/features/games/rooms';

export const metadata: Metadata = { title: 'Games' };

export default async function Page({ params }: PageProps<'/a/[academy]/games'>) {
  const { academy } = await params;
  return <GamesRoom slug={academy} />;
}
