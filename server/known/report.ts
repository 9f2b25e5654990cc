import 'server-only';
import { makeReport } from '@/core/report/make-report';
import type { Report } from '@/core/report/report';
import { clockOf } from '@/core/hour/run';
import { dayIn, endOfDayIn, startOfDayIn } from '@/core/units/day';
import type { Data, PlayerRow } from '../data';
import { boardOf, type BoardOf } from './board';
import type { KnownAt } from './known';
import { changeSince } from './over-time';

/** Of which days a report is, "2026-10-01" to "2026-11-29", and against what strokes are counted. */
export type ReportAsked = { from: string; to: string; against: BoardOf['against'] };

/** "1 Oct to 29 Nov 2026". */
function sayPeriod(from: Date, to: Date, timeZone: string): string {
  const say = (at: Date, year: boolean) =>
    new Intl.DateTimeFormat('en-GB', { timeZone, day: 'numeric', month: 'short', ...(year ? { year: 'numeric' } : {}) }).format(at);
  const years = [from, to].map((at) => dayIn(at, timeZone).slice(0, 4));
  return `${say(from, years[0] !== years[1])} to ${say(to, true)}`;
}

/** A player's report of a period, as it is known now. */
export async function reportOf(
  desk: KnownAt & { data: Data },
  player: PlayerRow,
  { from: day, to: until, against }: ReportAsked,
  now: Date,
): Promise<Report> {
  const { data, academy, model } = desk;
  const { timeZone } = academy;
  const { playerId } = player;
  const [from, to] = [startOfDayIn(day, timeZone), endOfDayIn(until, timeZone)];
  const asOf = to < now ? to : now;
  const [board, shots, scores, hours, span] = await Promise.all([
    boardOf(desk, player, { filter: { from, asOf }, against }),
    data.shotsOfPlayer(playerId),
    data.scoresOf(playerId),
    data.listHours({ playerId }),
    data.spanOfEvidence(playerId),
  ]);
  const inside = shots.filter(({ playedAt }) => Date.parse(playedAt) >= from.getTime() && Date.parse(playedAt) <= asOf.getTime());
  const days = new Set(inside.map(({ playedAt }) => dayIn(new Date(playedAt), timeZone)));
  const between = span && span.first < from && span.last >= from;
  const change = between
    ? await changeSince(desk, player, { first: span.first, since: from, last: asOf < span.last ? asOf : span.last })
    : null;
  const planned = hours.filter(({ hour }) => hour.day !== null && hour.day >= day && hour.day <= until && hour.day <= dayIn(now, timeZone));
  const sayWhen = (at: Date) => new Intl.DateTimeFormat('en-GB', { timeZone, day: 'numeric', month: 'short' }).format(at);
  return makeReport({
    player: player.name,
    level: player.level,
    academy: academy.name,
    period: sayPeriod(from, to, timeZone),
    made: new Intl.DateTimeFormat('en-GB', { timeZone, day: 'numeric', month: 'short', year: 'numeric' }).format(now),
    system: player.units,
    strokes: academy.strokesAs,
    against: board.against,
    model,
    diagnosis: board.diagnosis,
    shots: inside,
    sessions: new Set(inside.map(({ sessionId }) => sessionId)).size,
    days: days.size,
    scores: scores
      .filter(({ session }) => session.startedAt <= asOf)
      .map(({ session, score }) => ({
        gameId: session.gameId!,
        version: session.gameVersion!,
        spec: session.spec,
        score,
        at: session.startedAt,
      })),
    from,
    change,
    plan: {
      planned: planned.length,
      done: planned.filter(({ run, hour }) => run !== null && clockOf(run, hour, now.getTime()).goneS > 0).length,
    },
    words: player.reportWords,
    sayWhen,
  });
}
