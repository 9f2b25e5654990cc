import { randomUUID } from 'node:crypto';
import { isGoing } from '@/core/hour/run';
import { requireCoach } from '@/server/actor';
import { briefsOf } from '@/server/known/briefs';
import { ErasuresAsked } from '../players/erasures-asked';
import { candidatesOf } from '../forecast/candidates';
import { changesIn, playerRows, sharedWeaknesses } from '../players/player-rows';
import { TodayPage } from './today-page';
import { WEEKS, whoIsShown } from '../players/who-is-shown';

/** So much news is told. */
const NEWS = 4;
/** So many sessions that are not finished are shown, and when all are asked for. */
const UNFINISHED = { first: 8, all: 100_000 } as const;

/** @param all whether all sessions that are not finished are shown */
export async function TodayRoom({ slug, all }: { slug: string; all: boolean }) {
  const desk = await requireCoach(slug);
  const { data, academy, model } = desk;
  const now = new Date();
  const [players, games, unfinished, notFinished, recent, conditions, visits, hours, today, asked] = await Promise.all([
    data.listPlayers(),
    data.listGames(),
    data.unfinishedSessions(all ? UNFINISHED.all : UNFINISHED.first, { withBalls: true }),
    data.countUnfinished({ withBalls: true }),
    data.finishedSessions(8),
    data.conditionsToday(),
    data.visitsOnThisWeekday(WEEKS),
    data.listHours({ current: true }),
    data.dayInAcademy(),
    data.erasuresAsked(),
  ]);
  const briefs = await briefsOf(desk, players);
  const said = { cells: model.cells, strokes: academy.strokesAs, timeZone: academy.timeZone, now };
  const rowsOf = (some: typeof players) => playerRows(some, briefs, said);
  const { expected, others, usual } = whoIsShown(players, visits);
  return (
    <TodayPage
      academy={academy}
      now={now}
      players={{ all: players.length, played: players.filter(({ balls }) => balls > 0).length }}
      shown={{ expected: rowsOf(expected), others: rowsOf(others), usual }}
      news={[...changesIn(players, briefs), ...sharedWeaknesses(players, briefs, model.cells)].slice(0, NEWS)}
      firstLook={{ gameId: randomUUID(), players: candidatesOf(players.filter(({ balls }) => balls === 0)) }}
      games={games}
      unfinished={unfinished}
      notFinished={notFinished}
      recent={recent}
      conditions={conditions}
      hours={hours.filter(({ hour, run }) => (run ? isGoing(run, now.getTime()) : hour.day === today))}
      today={today}
      pending={briefs.pending}
      asked={<ErasuresAsked slug={slug} asked={asked} timeZone={academy.timeZone} now={now} />}
    />
  );
}
