import * as z from 'zod';

/** That somebody was erased on purpose, or a whole academy was: kept beside the backups, so that it is done again after one is restored. */
export const erasureSchema = z.strictObject({
  academyId: z.string().min(1).max(64),
  /** null: all of the academy. */
  playerId: z.uuid().nullable(),
  at: z.iso.datetime(),
});
export type Erasure = z.infer<typeof erasureSchema>;
