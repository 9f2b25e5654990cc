import * as z from 'zod';
import { key, moment, whole } from '../stored';
import { MOST_PARTS } from './hour';
import { RUN_VERSION } from './steps';

/** What became of a part: one that was left before its time was over is done; stopped is what ended the hour. */
export const PART_STATES = ['waiting', 'running', 'done', 'skipped', 'stopped'] as const;

const runPartSchema = z.object({
  key,
  state: z.enum(PART_STATES),
  /** As it was fitted in when it began, or as it is now. */
  minutes: whole(1),
  startedAt: moment.nullable().default(null),
  endedAt: moment.nullable().default(null),
  /** The session that was played in it. */
  sessionId: z.uuid().nullable().default(null),
});
export type RunPart = z.infer<typeof runPartSchema>;

export const runSchema = z.object({
  format: z.literal('inch-run'),
  version: z.literal(RUN_VERSION),
  runId: z.uuid(),
  hourId: z.uuid(),
  startedAt: moment,
  endedAt: moment.nullable().default(null),
  /** Counts up with each change: of one run the newest is kept. */
  change: whole(0),
  parts: z.array(runPartSchema).min(1).max(MOST_PARTS),
});
/** An hour as it was done: which part when, what was played in it, what was skipped. Times are the device's. */
export type Run = z.infer<typeof runSchema>;
