import 'server-only';
import type { Report } from '@/core/report/report';
import { makeSquadReport, MOST_ON_REPORT, type SquadReport } from '@/core/report/squad-report';
import { endOfDayIn, startOfDayIn } from '@/core/units/day';
import { sayDate, sayPeriod } from '@/core/units/say-moment';
import type { KnownAt } from './known';
import { reportOf } from './report';

/** So many players are asked about at once. */
const AT_ONCE = 4;

/** A squad's report of some days, each player against their own level; of those with most recent balls, so many as stand on it. */
export async function squadReportOf(desk: KnownAt, { from, to }: { from: string; to: string }, now: Date): Promise<SquadReport> {
  const { data, academy } = desk;
  const { timeZone } = academy;
  const begins = startOfDayIn(from, timeZone);
  const all = await data.listPlayers();
  const recent = all.filter(({ lastAt }) => lastAt !== null && lastAt >= begins).sort((a, b) => b.lastAt!.getTime() - a.lastAt!.getTime());
  const shown = recent.slice(0, MOST_ON_REPORT).map(({ player }) => player);
  const reports: { playerId: string; report: Report }[] = [];
  for (let i = 0; i < shown.length; i += AT_ONCE)
    reports.push(
      ...(await Promise.all(
        shown.slice(i, i + AT_ONCE).map(async (player) => ({
          playerId: player.playerId,
          report: await reportOf(desk, player, { from, to, against: undefined }, now),
        })),
      )),
    );
  const played = reports.filter(({ report }) => report.played.balls > 0).toSorted((a, b) => a.report.player.localeCompare(b.report.player));
  const there = new Set(played.map(({ playerId }) => playerId));
  return makeSquadReport(
    {
      academy: academy.name,
      period: sayPeriod(begins, endOfDayIn(to, timeZone), timeZone),
      made: sayDate(now, timeZone),
      strokes: academy.strokesAs,
      more: recent.length - shown.length,
    },
    played.map(({ report }) => report),
    all.filter((row) => !there.has(row.player.playerId) && !recent.slice(shown.length).includes(row)).map(({ player }) => player.name),
  );
}
