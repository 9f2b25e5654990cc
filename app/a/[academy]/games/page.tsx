import type { Metadata } from 'next';
import Link from 'next/link';
import { listGames } from '@/db/queries/games';
import { GameList } from '@/features/games/game-list';
import { requireCoach } from '@/server/actor';
import { database } from '@/server/db';

export const metadata: Metadata = { title: 'Games' };

export default async function Games({ params }: PageProps<'/a/[academy]/games'>) {
  const { actor, academy } = await requireCoach((await params).academy);
  const games = await listGames(database(), actor);
  return (
    <div className="p-3 p-md-4" style={{ maxWidth: '60rem' }}>
      <div className="d-flex justify-content-between align-items-center mb-3">
        <h1>Games</h1>
        <Link href={`/a/${academy.slug}/games/new`} className="btn btn-primary">
          Design a game
        </Link>
      </div>
      <GameList slug={academy.slug} games={games} />
    </div>
  );
}
