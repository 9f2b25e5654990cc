import * as z from 'zod';
import {
  COUNTS,
  FINISHES,
  FIRMNESSES,
  LANDED_SIDES,
  MEASURES,
  MISHITS,
  shotTypeSchema,
  SHAPES,
  SITS,
  STANCES,
  surfaceSchema,
  SWING_WIDTHS,
  TRAJECTORIES,
} from '../golf/words';
import { filledLine, key, line, lines, moment, openObject, whole } from '../stored';

const metres = z.number().min(0).max(500);

/** Where the ball finished. At most one of: holed, an exact distance left, a ring (between two distances, open outside). */
const resultFields = {
  holed: z.boolean(),
  leftM: metres.nullable(),
  leftMinM: metres.nullable(),
  /** null with a `leftMinM`: outside the last ring. */
  leftMaxM: metres.nullable(),
  /** Seen from the hole along the line of play: 0 beyond it, 90 right, 180 short, 270 left. */
  bearingDeg: z.number().min(0).lt(360).nullable(),
  measured: z.enum(MEASURES),
};

/** What the player did, beyond where the ball ended. */
const shotFields = {
  playerId: z.uuid(),
  sessionId: z.uuid(),
  phase: whole(),
  stationKey: key,
  ballNo: whole(1),
  turnNo: whole(),
  shotType: shotTypeSchema,
  surface: surfaceSchema,
  sit: z.enum(SITS),
  stance: z.enum(STANCES),
  trajectory: z.enum(TRAJECTORIES).nullable(),
  shape: z.enum(SHAPES).nullable(),
  swingWidth: z.enum(SWING_WIDTHS).nullable(),
  swingMark: line(40).nullable(),
  clubId: z.uuid().nullable(),
  /** The club as it was called then, owned or not. */
  clubLabel: filledLine(20).nullable(),
  /** Whether the player did what was called, or what the game asked of this ball; null where nothing was. */
  executed: z.boolean().nullable(),
  /** What the player said before it that they would do, in their words; empty where it was only said aloud; null where nothing is called. */
  called: line(60).nullable(),
  /** Where players are compared and nobody measured: whether it lies nearer than all that were down before it; null where nobody said. */
  nearer: z.boolean().nullable(),
  target: z.enum(['hole', 'peg']),
  distanceM: metres,
  ...resultFields,
  /** The strokes that finish it in par, where the game counts against one; null where it does not. */
  par: z.int().min(1).max(7).nullable(),
  /** Strokes to hole out from here, this one included. */
  strokes: z.int().min(1).max(20).nullable(),
  penalty: z.int().min(0).max(4),
  finish: z.enum(FINISHES).nullable(),
  landed: z.boolean().nullable(),
  carryM: metres.nullable(),
  /** Signed: positive is long of the intended landing spot. */
  landingErrorM: z.number().min(-500).max(500).nullable(),
  /** Where it came down, seen from the spot or the zone, where nobody measured by how much. */
  landedSide: z.enum(LANDED_SIDES).nullable(),
  intendedM: metres.nullable(),
  mishit: z.enum(MISHITS).nullable(),
  /** More than one: several balls recorded as one total, `sumLeftM`. */
  nBalls: z.int().min(1).max(60),
  sumLeftM: z.number().min(0).max(30000).nullable(),
  counts: z.enum(COUNTS),
  wind: line(40).nullable(),
  stimpFt: z.number().min(3).max(16).nullable(),
  firmness: z.enum(FIRMNESSES).nullable(),
  note: lines(500).nullable(),
  playedAt: moment,
};

/** A result that contradicts itself is refused here, for a screen, an import and the server alike. */
function checkResult(shot: Partial<z.infer<z.ZodObject<typeof resultFields>>>, ctx: z.RefinementCtx) {
  const ring = shot.leftMinM != null || shot.leftMaxM != null;
  if (shot.holed && ((shot.leftM ?? 0) > 0 || ring))
    ctx.addIssue({ code: 'custom', path: ['holed'], message: 'A holed ball has no distance left.' });
  if (shot.leftM != null && ring)
    ctx.addIssue({ code: 'custom', path: ['leftM'], message: 'Enter the distance left or a ring, not both.' });
  if (shot.leftMinM != null && shot.leftMaxM != null && shot.leftMaxM <= shot.leftMinM)
    ctx.addIssue({ code: 'custom', path: ['leftMaxM'], message: 'The outer edge of the ring must be farther out than the inner one.' });
}

export const shotRecordSchema = openObject(shotFields).superRefine(checkResult);
/** The facts of one ball. */
export type ShotRecord = z.infer<typeof shotRecordSchema>;
/** A ball with its identity: one row of the projection. */
export type Shot = ShotRecord & { shotId: string };

/** What a correction may change: anything but whose ball it was and in which session. */
export const shotAmendSchema = openObject(shotFields)
  .omit({ playerId: true, sessionId: true })
  .partial()
  .refine((fields) => Object.keys(fields).length > 0, 'A correction has to change something.');
export type ShotAmend = z.infer<typeof shotAmendSchema>;

const eventFields = {
  /** Of the shape of events (read-event.ts). */
  version: whole(1).default(1),
  eventId: z.uuid(),
  shotId: z.uuid(),
  sessionId: z.uuid(),
  deviceId: z.uuid(),
  deviceSeq: whole(),
  deviceAt: moment,
};

/** A fact as it leaves the device. Nothing is ever overwritten: a correction and a removal are facts of their own. */
export const shotEventSchema = z.discriminatedUnion('kind', [
  openObject({ ...eventFields, kind: z.literal('record'), payload: shotRecordSchema }),
  openObject({ ...eventFields, kind: z.literal('amend'), payload: shotAmendSchema }),
  openObject({ ...eventFields, kind: z.literal('void'), payload: openObject({}) }),
]);
export type ShotEvent = z.infer<typeof shotEventSchema>;

/** A fact as the server has it: numbered in the order in which it was taken in. It may be a newer program’s: whoever reads it sees. */
export const takenInSchema = z.object({ seq: z.int().min(0), event: z.unknown() });
export type TakenIn = z.infer<typeof takenInSchema>;

/**
 * One post of a device: what it says about the balls of one session, oldest first. Each event is read by itself, and what a newer program says
 * beside them keeps none of them waiting.
 */
export const shotBatchSchema = z.object({
  sessionId: z.uuid(),
  /** What the device's clock says as it sends this: so that a wrong one is seen. */
  sentAt: moment.optional(),
  events: z.array(z.unknown()).min(1).max(200),
});

/** An event that will never be taken in, and why: a sentence. Without an id it can't be named. */
export const refusedEventSchema = z.object({ eventId: z.string().nullable(), why: z.string() });
export type RefusedEvent = z.infer<typeof refusedEventSchema>;
/** What became of a batch: how many events are new, how many were known, and which are refused. */
export const takenSchema = z.object({ stored: z.int(), known: z.int(), refused: z.array(refusedEventSchema) });
export type Taken = z.infer<typeof takenSchema>;

/** All facts of a ball, none of them said. Read from text, so that copies of it are of one shape, which is quicker to fill than an object of any. */
const UNSAID = JSON.parse(JSON.stringify(Object.fromEntries(Object.keys(shotFields).map((name) => [name, null])))) as Record<
  keyof ShotRecord,
  unknown
>;
const FACTS = Object.keys(shotFields) as (keyof ShotRecord)[];

/** A ball of which only this is said: all else is null. */
export const withUnsaid = (said: Partial<ShotRecord>): ShotRecord => ({ ...UNSAID, ...said }) as ShotRecord;

/** What of a record is a ball: not what only a newer program knows of it. */
export function shotOf(record: ShotRecord): ShotRecord {
  const shot = { ...UNSAID };
  for (const name of FACTS) shot[name] = record[name];
  return shot as ShotRecord;
}
