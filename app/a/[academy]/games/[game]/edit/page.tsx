import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { getGame } from '@/db/queries/games';
import { GameForm } from '@/features/games/game-form';
import { requireCoach } from '@/server/actor';
import { database } from '@/server/db';
import { uuidOr404 } from '@/server/params';

export const metadata: Metadata = { title: 'Change a game' };

export default async function EditGame({ params }: PageProps<'/a/[academy]/games/[game]/edit'>) {
  const { academy: slug, game: id } = await params;
  const { actor, academy } = await requireCoach(slug);
  const game = await getGame(database(), actor, uuidOr404(id));
  if (!game) notFound();
  return <GameForm slug={slug} gameId={game.gameId} initial={game.spec} units={academy.units} isNew={false} />;
}
