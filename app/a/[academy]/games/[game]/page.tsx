import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { getGame } from '@/db/queries/games';
import { listPlayers } from '@/db/queries/players';
import { GamePage } from '@/features/games/game-page';
import { requireCoach } from '@/server/actor';
import { database } from '@/server/db';
import { uuidOr404 } from '@/server/params';

export const metadata: Metadata = { title: 'Game' };

export default async function Game({ params }: PageProps<'/a/[academy]/games/[game]'>) {
  const { academy: slug, game: id } = await params;
  const { actor, academy } = await requireCoach(slug);
  const game = await getGame(database(), actor, uuidOr404(id));
  if (!game) notFound();
  const players = await listPlayers(database(), actor);
  return (
    <GamePage
      slug={slug}
      game={game}
      units={academy.units}
      players={players.map(({ player }) => ({ playerId: player.playerId, name: player.name }))}
    />
  );
}
