import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { getPlayer } from '@/db/queries/players';
import { PlayerForm } from '@/features/players/player-form';
import { requireCoach } from '@/server/actor';
import { database } from '@/server/db';
import { uuidOr404 } from '@/server/params';

export const metadata: Metadata = { title: 'Change a player' };

export default async function EditPlayer({ params }: PageProps<'/a/[academy]/players/[player]/edit'>) {
  const { academy: slug, player: id } = await params;
  const { actor } = await requireCoach(slug);
  const found = await getPlayer(database(), actor, uuidOr404(id));
  if (!found) notFound();
  const { name, level, handed, units, paceM, clubM, putterM } = found.player;
  const clubs = found.clubs.map(({ clubId, label, loftDeg }) => ({ clubId, label, loftDeg }));
  return (
    <div className="p-3 p-md-4">
      <h1 className="mb-3">{name}</h1>
      <PlayerForm
        slug={slug}
        playerId={found.player.playerId}
        initial={{ name, level, handed, units, paceM, clubM, putterM, clubs }}
        isNew={false}
      />
    </div>
  );
}
