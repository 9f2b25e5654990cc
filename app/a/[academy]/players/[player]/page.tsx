import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { z } from 'zod';
import { getPlayer } from '@/db/queries/players';
import { finishedSessions } from '@/db/queries/sessions';
import { shotsOfPlayer } from '@/db/queries/shots';
import { SkillPage } from '@/features/players/skill-page';
import { requireCoach } from '@/server/actor';
import { database } from '@/server/db';
import { uuidOr404 } from '@/server/params';

export const metadata: Metadata = { title: 'Player' };

const number = (least: number, most: number) => z.coerce.number().min(least).max(most);

export default async function Player({ params, searchParams }: PageProps<'/a/[academy]/players/[player]'>) {
  const { academy: slug, player: id } = await params;
  const { actor, academy } = await requireCoach(slug);
  const db = database();
  const found = await getPlayer(db, actor, uuidOr404(id));
  if (!found) notFound();
  const { player } = found;
  const [shots, sessions] = await Promise.all([
    shotsOfPlayer(db, actor, player.playerId),
    finishedSessions(db, actor, 12, player.playerId),
  ]);
  const asked = await searchParams;
  return (
    <SkillPage
      slug={slug}
      player={player}
      shots={shots}
      sessions={sessions}
      level={number(-10, 54).catch(player.level).parse(asked.level)}
      inside={number(0.1, 100)
        .catch(player.units === 'metric' ? 2 : 6)
        .parse(asked.inside)}
      timeZone={academy.timeZone}
      now={new Date()}
    />
  );
}
