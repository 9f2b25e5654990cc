import * as z from 'zod';
import { gameSpecSchema } from '../game/spec';
import { storedGames } from '../game/stored-games';
import { day, filledLine, key, line } from '../stored';
import { schoolSchema } from './school';
import { HOUR_VERSION } from './steps';

/** What a part of an hour is: technique is not scored, a game is; the test is the same game as the last one. */
export const PART_KINDS = ['technique', 'test', 'landing', 'lies', 'putting', 'other', 'game'] as const;
export type PartKind = (typeof PART_KINDS)[number];

/** An hour may be as short as this, or as long, in minutes. */
export const [SHORTEST, LONGEST] = [5, 180];
/** It has at most so many parts. */
export const MOST_PARTS = 12;

const ballsInSet = z.int({ error: 'Enter a whole number.' }).min(1, 'At least 1.').max(60, 'At most 60.');

/** A game of a part: as it will be played, under its id in the academy. */
export const partGameSchema = z.object({
  gameId: z.uuid(),
  spec: z.preprocess(storedGames.read, gameSpecSchema),
});

export const partSchema = z.object({
  key,
  kind: z.enum(PART_KINDS),
  /** What is done: "Ladder of putts", "10–20 yd chips from the fairway", "stretching". */
  title: filledLine(80, 'Say what is done.'),
  minutes: z.int({ error: 'Enter whole minutes.' }).min(1, 'At least 1 minute.').max(LONGEST, `At most ${LONGEST} minutes.`),
  /** The one thought of technique. */
  cue: line(80).default(''),
  /** Of technique: so many sets of so many balls. */
  sets: ballsInSet.nullable().default(null),
  setOf: ballsInSet.nullable().default(null),
  /** What is played; null where nothing is scored. */
  game: partGameSchema.nullable().default(null),
  /** Why this, in a line. */
  why: line(200).default(''),
  /** Whether it stays when the rest is filled anew. */
  pinned: z.boolean().default(false),
  /** Of a test: by how much its score differs by luck alone, as a standard deviation in what it counts; null: not known. */
  luck: z.number().gt(0).max(10_000).nullable().default(null),
});
export type Part = z.infer<typeof partSchema>;

export const hourSchema = z
  .object({
    format: z.literal('inch-hour'),
    version: z.literal(HOUR_VERSION),
    title: filledLine(80, 'An hour needs a title.'),
    minutes: z
      .int({ error: 'Enter whole minutes.' })
      .min(SHORTEST, `At least ${SHORTEST} minutes.`)
      .max(LONGEST, `At most ${LONGEST} minutes.`),
    /** When it is meant for; null: whenever. */
    day: day.nullable().default(null),
    school: schoolSchema,
    greenId: z.uuid().nullable().default(null),
    parts: z.array(partSchema).min(1, 'Add at least one part.').max(MOST_PARTS, `At most ${MOST_PARTS} parts.`),
  })
  .superRefine(({ minutes, parts }, ctx) => {
    const sum = parts.reduce((total, part) => total + part.minutes, 0);
    if (sum !== minutes)
      ctx.addIssue({ code: 'custom', path: ['parts'], message: `The parts are ${sum} minutes, the hour is ${minutes}.` });
    const last = parts.findIndex(({ kind }) => kind === 'game');
    if (last >= 0 && last < parts.length - 1) ctx.addIssue({ code: 'custom', path: ['parts'], message: 'The scored game comes last.' });
  });
/** A planned session of practice, part by part. Who it is for stands beside it. */
export type Hour = z.infer<typeof hourSchema>;
