import type { Metadata } from 'next';
import { LevelsRoom } from '@/features/games/rooms';

export const metadata: Metadata = { title: 'By level' };

export default async function Page({ params }: PageProps<'/a/[academy]/games/[game]/levels'>) {
  const { academy, game } = await params;
  return <LevelsRoom slug={academy} gameId={game} />;
}
