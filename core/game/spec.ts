import * as z from 'zod';
import { callsSchema, NOTHING_PLANNED } from './calls';
import { orderSchema, PLAIN_RULES, rulesSchema } from './rules';
import { scoringSchema } from './scoring';
import { refuseNonsense } from './sense';
import { sizesSchema } from './sizes';
import { ballsSchema, MOST_STATIONS, stationSchema } from './station';
import { filledLine, line } from '../stored';

/** The version of a game that this program writes; how older ones are brought to it says stored-games.ts. */
export const GAME_VERSION = 3;

/** A phase before the one that counts, with its own balls, order and scoring. */
export const leadInSchema = z.strictObject({
  title: filledLine(40, 'Name the phase.'),
  /** At each station, where it is played at those of the game. */
  balls: ballsSchema,
  /** Stations of its own, each with its balls; null: those of the game. */
  stations: z.array(stationSchema).max(MOST_STATIONS, `At most ${MOST_STATIONS} stations.`).nullable().default(null),
  order: orderSchema,
  scoring: scoringSchema,
});

/** The parts that a game has, whatever is said in them. */
export const gameShapeSchema = z.strictObject({
  format: z.literal('inch-game'),
  version: z.literal(GAME_VERSION),
  title: filledLine(80, 'A game needs a title.'),
  /** What it trains and for whom, in a line. */
  about: line(200).default(''),
  /** Stations are called while it is played, and the game grows; it may begin with none. */
  open: z.boolean().default(false),
  calls: callsSchema.default(NOTHING_PLANNED),
  stations: z.array(stationSchema).max(MOST_STATIONS, `At most ${MOST_STATIONS} stations.`),
  order: orderSchema.default('blocked'),
  sizes: sizesSchema,
  scoring: scoringSchema,
  rules: rulesSchema.default(PLAIN_RULES),
  /** Phases before the one that counts; each has a score of its own, and the game's is that of the last. */
  leadIn: z.array(leadInSchema).max(3, 'At most three phases before the one that counts.').default([]),
  /** The score to reach; null where there is none. */
  goal: z.number({ error: 'Enter a number, or leave it empty.' }).min(0, 'A goal can’t be negative.').nullable(),
});

export const gameSpecSchema = gameShapeSchema.superRefine((game, ctx) => {
  for (const { path, message } of refuseNonsense(game)) ctx.addIssue({ code: 'custom', path: [...path], message });
});

/** A game as data: all that is needed to set it up, play it and score it. */
export type GameSpec = z.infer<typeof gameSpecSchema>;
export type LeadIn = GameSpec['leadIn'][number];

/** A key that none of these has yet: "s3" after "s1" and "s2". Keys of removed parts may come again only if nothing newer stands. */
export function freshKey(prefix: string, taken: readonly string[]): string {
  const numbers = taken.map((key) => Number(key.slice(prefix.length))).filter(Number.isFinite);
  return `${prefix}${Math.max(0, ...numbers) + 1}`;
}
