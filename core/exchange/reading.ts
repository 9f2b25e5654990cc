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
    .min(2.125 * METRES_PER.in, 'So near is in the hole: that is no distance of a ball.')
    .max(150, 'That is farther than any short game.')
    .transform(snap),
  /** How long ago it was read, by the device's own counting: its clock is nobody's business. */
  ageMs: z.number().min(0).max(LATE_MS, 'This was read too long ago.'),
});
export type Reading = z.infer<typeof readingSchema>;

/** A reading as it is offered on the number pad. */
export const offeredReadingSchema = z.object({ readingId: z.uuid(), distanceM: z.number(), ageMs: z.number() });
export type OfferedReading = z.infer<typeof offeredReadingSchema>;
