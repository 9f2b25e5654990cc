import { requireCoach } from '@/server/actor';
import { TodayPage } from './today-page';

export async function TodayRoom({ slug }: { slug: string }) {
  const { data, academy } = await requireCoach(slug);
  const [players, games, unfinished, recent, conditions] = await Promise.all([
    data.listPlayers(),
    data.listGames(),
    data.unfinishedSessions(20, { withBalls: true }),
    data.finishedSessions(8),
    data.conditionsToday(),
  ]);
  return (
    <TodayPage
      academy={academy}
      now={new Date()}
      players={players}
      games={games}
      unfinished={unfinished}
      recent={recent}
      conditions={conditions}
    />
  );
}
