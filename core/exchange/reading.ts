import * as z from 'zod';
import { METRES_PER, snap } from '../units/length';

/** A device that reads distances hands in one at a time; what is older than this when it arrives is of a ball long gone. */
export const LATE_MS = 30_000;

/** What a device read: absurd distances are refused here, before anybody sees them. */
export const readingSchema = z.strictObject({
  readingId: z.uuid(),
  /** Counts up on the device. */
  seq: z.int().min(1).max(2_000_000_000),
  distanceM: z
    .number({ error: 'A reading is a distance in metres.' })
    .min(2.125 * METRES_PER.in, 'That’s in the hole, so it can’t be a ball’s distance.')
    .max(150, 'That’s farther than any short-game shot.')
    .transform(snap),
  /** How long ago it was read, by the device's own counting: its clock is nobody's business. */
  ageMs: z.number().min(0).max(LATE_MS, 'This reading is too old.'),
});
export type Reading = z.infer<typeof readingSchema>;

/** A reading as it is offered on the number pad. */
export const offeredReadingSchema = z.object({ readingId: z.uuid(), distanceM: z.number(), ageMs: z.number() });
export type OfferedReading = z.infer<typeof offeredReadingSchema>;
