import { randomUUID } from 'node:crypto';
import { isGoing } from '@/core/hour/run';
import { requireCoach } from '@/server/actor';
import { briefsOf } from '@/server/known/briefs';
import { ErasuresAsked } from '../players/erasures-asked';
import { candidatesOf } from '../forecast/candidates';
import { playerRows } from '../players/player-rows';
import { TodayPage, WEEKS } from './today-page';

export async function TodayRoom({ slug }: { slug: string }) {
  const desk = await requireCoach(slug);
  const { data, academy, model } = desk;
  const now = new Date();
  const [players, games, unfinished, recent, conditions, visits, hours, today, asked] = await Promise.all([
    data.listPlayers(),
    data.listGames(),
    data.unfinishedSessions(20, { withBalls: true }),
    data.finishedSessions(8),
    data.conditionsToday(),
    data.visitsOnThisWeekday(WEEKS),
    data.listHours({ current: true }),
    data.dayInAcademy(),
    data.erasuresAsked(),
  ]);
  const briefs = await briefsOf(desk, players);
  const said = { cells: model.cells, strokes: academy.strokesAs, timeZone: academy.timeZone, now };
  return (
    <TodayPage
      academy={academy}
      now={now}
      players={playerRows(players, briefs, said)}
      visits={visits}
      firstLook={{ gameId: randomUUID(), players: candidatesOf(players) }}
      games={games}
      unfinished={unfinished}
      recent={recent}
      conditions={conditions}
      hours={hours.filter(({ hour, run }) => (run ? isGoing(run, now.getTime()) : hour.day === today))}
      today={today}
      pending={briefs.pending}
      asked={<ErasuresAsked slug={slug} asked={asked} timeZone={academy.timeZone} now={now} />}
    />
  );
}
