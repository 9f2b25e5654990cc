import type { Metadata } from 'next';
import { LevelsRoom } from '@/features/games/rooms';

export const metadata: Metadata = { title: 'By level' };

export default async function Page({ params, searchParams }: PageProps<'/a/[academy]/games/[game]/levels'>) {
  const [{ academy, game }, { at }] = await Promise.all([params, searchParams]);
  return <LevelsRoom slug={academy} gameId={game} at={typeof at === 'string' ? at : undefined} />;
}
