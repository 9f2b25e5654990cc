import 'server-only';
import { ENOUGH_BALLS, makeReport } from '@/core/report/make-report';
import type { Report } from '@/core/report/report';
import { clockOf } from '@/core/hour/run';
import { dayIn, endOfDayIn, startOfDayIn } from '@/core/units/day';
import { sayDate, sayPeriod } from '@/core/units/say-moment';
import type { ListedPlayer } from '../data';
import { boardOf, type BoardOf } from './board';
import type { KnownAt } from './known';
import type { Diagnosis } from '@/core/skill/diagnose';
import { changesBetween } from './over-time';

/** Of which days a report is, "2026-10-01" to "2026-11-29", and against what strokes are counted. */
export type ReportAsked = { from: string; to: string; against: BoardOf['against'] };

/** So many shots are compared, those with most balls. */
const COMPARED = 8;

/** What changed of the shots that were hit enough in the period. @param times the first ball, when the period begins, and its end */
async function changesIn(desk: KnownAt, player: ListedPlayer, { findings }: Diagnosis, [first, from, to]: readonly [Date, Date, Date]) {
  const cells = findings
    .map(({ balls }, i) => ({ balls, i }))
    .filter(({ balls }) => balls >= ENOUGH_BALLS)
    .sort((a, b) => b.balls - a.balls)
    .slice(0, COMPARED)
    .map(({ i }) => i);
  const end = new Date(to.getTime() + 1);
  const told = await changesBetween(
    desk,
    player,
    [
      { from: first, to: from },
      { from, to: end },
    ],
    cells,
  );
  return told.flatMap((one, at) => (one ? [{ key: findings[cells[at]!]!.key, ...one }] : []));
}

/** A player's report of a period, as it is known now. */
export async function reportOf(
  desk: KnownAt,
  player: ListedPlayer,
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
  const changes =
    span && span.first < from && span.last >= from ? await changesIn(desk, player, board.diagnosis, [span.first, from, asOf]) : [];
  const planned = hours.filter(({ hour }) => hour.day !== null && hour.day >= day && hour.day <= until && hour.day <= dayIn(now, timeZone));
  return makeReport({
    player: player.name,
    level: player.level,
    academy: academy.name,
    period: sayPeriod(from, to, timeZone),
    made: sayDate(now, timeZone),
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
    changes,
    plan: {
      planned: planned.length,
      done: planned.filter(({ run, hour }) => run !== null && clockOf(run, hour, now.getTime()).goneS > 0).length,
    },
    words: player.reportWords,
    sayWhen: (at) => sayDate(at, timeZone, false),
  });
}
