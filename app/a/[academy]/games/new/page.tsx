import { randomUUID } from 'node:crypto';
import type { Metadata } from 'next';
import { GameForm } from '@/features/games/game-form';
import { newGame } from '@/features/games/new-game';
import { requireCoach } from '@/server/actor';

export const metadata: Metadata = { title: 'A new game' };

export default async function NewGame({ params }: PageProps<'/a/[academy]/games/new'>) {
  const { academy } = await requireCoach((await params).academy);
  return <GameForm slug={academy.slug} gameId={randomUUID()} initial={newGame(academy.units)} units={academy.units} isNew />;
}
