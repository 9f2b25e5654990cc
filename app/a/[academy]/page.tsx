import type { Metadata } from 'next';
import { listGames } from '@/db/queries/games';
import { listPlayers } from '@/db/queries/players';
import { finishedSessions, unfinishedSessions } from '@/db/queries/sessions';
import { TodayPage } from '@/features/today/today-page';
import { requireCoach } from '@/server/actor';
import { database } from '@/server/db';

export const metadata: Metadata = { title: 'Today' };

export default async function Today({ params }: PageProps<'/a/[academy]'>) {
  const { actor, academy } = await requireCoach((await params).academy);
  const db = database();
  const [players, games, unfinished, recent] = await Promise.all([
    listPlayers(db, actor),
    listGames(db, actor),
    unfinishedSessions(db, actor, 20),
    finishedSessions(db, actor, 8),
  ]);
  return <TodayPage academy={academy} now={new Date()} players={players} games={games} unfinished={unfinished} recent={recent} />;
}
