import * as z from 'zod';
import { lines, moment } from '../stored';

/** What the player of a personal link asked for, and the answer; `asked` null: nothing was. */
export const erasureSchema = z.object({
  asked: z.object({ at: moment, declinedAt: moment.nullable(), why: lines(500) }).nullable(),
});
export type Erasure = z.infer<typeof erasureSchema>;

/** Asks for everything about the player to be erased, or no longer. */
export const sentErasureSchema = z.strictObject({ asks: z.boolean(), words: lines(500) });
