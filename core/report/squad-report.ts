import * as z from 'zod';
import { documentKind } from '../document';
import { capital } from '../units/format';
import { STROKES_AS } from '../units/strokes';
import { ALONE } from './make-report';
import { shotSchema, type Report } from './report';

/** The version of a squad's report that this program writes. */
export const SQUAD_REPORT_VERSION = 1;
/** So many players stand on it. */
export const MOST_ON_REPORT = 40;

const sentence = z.string().max(600);
const rowSchema = z.object({
  name: z.string().max(60),
  sessions: z.int(),
  balls: z.int(),
  /** The last result, and what it says against those before; null: no game was played to its end. */
  test: z.object({ title: z.string().max(80), last: z.string().max(60), says: sentence }).nullable(),
  /** What costs most strokes in 18 holes; null: too few balls, or nothing does. */
  weakest: shotSchema.nullable(),
  change: sentence,
  next: sentence,
});
export type SquadReportRow = z.infer<typeof rowSchema>;

/** A squad's report on a page or two, as it was when it was made: a row for each player. */
export const squadReportSchema = z.object({
  format: z.literal('inch-squad-report'),
  version: z.literal(SQUAD_REPORT_VERSION),
  academy: z.string().max(200),
  period: z.string().max(80),
  made: z.string().max(40),
  strokes: z.enum(STROKES_AS),
  players: z.array(rowSchema).max(MOST_ON_REPORT),
  /** How many others recorded something, and do not stand on it. */
  more: z.int().min(0),
  /** Who recorded nothing in the period. */
  away: z.array(z.string().max(60)).max(1000),
  /** Shots that are among the weakest of several, and of how many. */
  shared: z.array(z.object({ shot: z.string().max(120), players: z.int().min(2) })).max(3),
  says: sentence,
});
export type SquadReport = z.infer<typeof squadReportSchema>;

export const storedSquadReports = documentKind<SquadReport>([]);

/**
 * Makes a squad's report of its players' own.
 * @param reports of the same period, one of each player who recorded something, in their order
 * @param away names of the others
 */
export function makeSquadReport(
  about: Pick<SquadReport, 'academy' | 'period' | 'made' | 'strokes' | 'more'>,
  reports: readonly Report[],
  away: readonly string[],
): SquadReport {
  const counts = new Map<string, number>();
  for (const { weakest } of reports) for (const { shot } of weakest) counts.set(shot, (counts.get(shot) ?? 0) + 1);
  const shared = [...counts]
    .filter(([, players]) => players > 1)
    .toSorted(([a, n], [b, m]) => m - n || a.localeCompare(b))
    .slice(0, 3)
    .map(([shot, players]) => ({ shot, players }));
  return {
    format: 'inch-squad-report',
    version: SQUAD_REPORT_VERSION,
    ...about,
    players: reports.slice(0, MOST_ON_REPORT).map(rowOf),
    away: [...away],
    shared,
    says: saysOf(reports.length, shared),
  };
}

function rowOf({ player, played, test, weakest, change, next }: Report): SquadReportRow {
  return {
    name: player,
    sessions: played.sessions,
    balls: played.balls,
    // What holds for all of them is said once, below.
    test: test && { title: test.title, last: test.last, says: test.says.replace(ALONE, '').trim() },
    weakest: weakest[0] ?? null,
    change: change[0]!,
    next,
  };
}

/** "20–30 yd pitches from the fairway are among the three weakest of 3 of 8 players." */
function saysOf(players: number, shared: readonly { shot: string; players: number }[]): string {
  const [first] = shared;
  if (players < 2) return '';
  if (!first) return 'No two players share a weak shot: practise in small groups.';
  return `${capital(first.shot)}: among the three weakest shots of ${first.players} of ${players} players. Practise them together.`;
}
