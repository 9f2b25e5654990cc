import * as z from 'zod';
import { documentKind } from '../document';
import { lines } from '../stored';
import { STROKES_AS } from '../units/strokes';
import { UNIT_SYSTEMS } from '../units/length';

/** The version of a report that this program writes. */
export const REPORT_VERSION = 1;

/** What a coach writes under a report. */
export const wordsSchema = lines(1200);

const sentence = z.string().max(600);
export const shotSchema = z.object({
  shot: z.string().max(120),
  /** Strokes lost a round, and between what they lie eight times in ten. */
  mean: z.number(),
  low: z.number(),
  high: z.number(),
  balls: z.int().min(0),
});
export type ReportShot = z.infer<typeof shotSchema>;

/**
 * A player's report on one page, as it was when it was made: words and figures, ready to be shown on a screen, on paper and behind a link. No other
 * player's name is in it.
 */
export const reportSchema = z.object({
  version: z.literal(REPORT_VERSION),
  player: z.string().max(60),
  academy: z.string().max(200),
  /** "1 Oct to 29 Nov 2026". */
  period: z.string().max(80),
  made: z.string().max(40),
  system: z.enum(UNIT_SYSTEMS),
  strokes: z.enum(STROKES_AS),
  /** "level 18". */
  against: z.string().max(80),
  played: z.object({ sessions: z.int(), balls: z.int(), days: z.int() }),
  games: z.array(z.object({ title: z.string().max(80), times: z.int(), last: z.string().max(60), best: z.string().max(60) })).max(12),
  test: z
    .object({
      title: z.string().max(80),
      last: z.string().max(60),
      when: z.string().max(40),
      before: z.array(z.string().max(60)).max(3),
      says: sentence,
    })
    .nullable(),
  /** What changed of the shots with most balls, each with how sure that is. */
  change: z.array(sentence).min(1).max(3),
  weakest: z.array(shotSchema).max(5),
  strongest: z.array(shotSchema).max(5),
  says: z.array(sentence).max(4),
  clubs: z.array(sentence).max(6),
  plan: sentence,
  next: sentence,
  words: wordsSchema,
  /** Balls of one shot on the tape: where each stopped, in metres; `to` null: beyond. */
  tape: z
    .object({
      label: z.string().max(160),
      balls: z.array(z.object({ from: z.number(), to: z.number().nullable() })).max(400),
      medianM: z.number().nullable(),
    })
    .nullable(),
});
export type Report = z.infer<typeof reportSchema>;

export const storedReports = documentKind<Report>([]);

/** A report as a server of any version sends it: what a newer one may mean is not shown. */
export const sentReportSchema = z.unknown().refine(storedReports.understands).transform(storedReports.read);
