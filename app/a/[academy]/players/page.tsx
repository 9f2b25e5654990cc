import type { Metadata } from 'next';
import Link from 'next/link';
import { listPlayers } from '@/db/queries/players';
import { PlayerList } from '@/features/players/player-list';
import { requireCoach } from '@/server/actor';
import { database } from '@/server/db';

export const metadata: Metadata = { title: 'Players' };

export default async function Players({ params }: PageProps<'/a/[academy]/players'>) {
  const { actor, academy } = await requireCoach((await params).academy);
  const players = await listPlayers(database(), actor);
  return (
    <div className="p-3 p-md-4" style={{ maxWidth: '60rem' }}>
      <div className="d-flex justify-content-between align-items-center mb-3">
        <h1>Players</h1>
        <Link href={`/a/${academy.slug}/players/new`} className="btn btn-primary">
          Add a player
        </Link>
      </div>
      <PlayerList slug={academy.slug} timeZone={academy.timeZone} now={new Date()} players={players} />
    </div>
  );
}
