import { randomUUID } from 'node:crypto';
import type { Metadata } from 'next';
import { newPlayer } from '@/core/people/player';
import { PlayerForm } from '@/features/players/player-form';
import { requireCoach } from '@/server/actor';

export const metadata: Metadata = { title: 'A new player' };

export default async function NewPlayer({ params }: PageProps<'/a/[academy]/players/new'>) {
  const { academy } = await requireCoach((await params).academy);
  return (
    <div className="p-3 p-md-4">
      <h1 className="mb-3">A new player</h1>
      <PlayerForm slug={academy.slug} playerId={randomUUID()} initial={newPlayer('', academy.units)} isNew />
    </div>
  );
}
