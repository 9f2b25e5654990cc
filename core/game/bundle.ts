import { z } from 'zod';
import { HANDS } from '../golf/words';
import { shotEventSchema } from '../shot/shot';
import { UNIT_SYSTEMS } from '../units/length';
import { entrantSchema } from './entrant';
import { gameSpecSchema } from './spec';

/**
 * All that a device needs to play one session with no network: fetched once, kept on the device, checked by this schema
 * at both ends.
 */
export const bundleSchema = z.object({
  academy: z.object({ slug: z.string(), name: z.string() }),
  sessionId: z.uuid(),
  gameId: z.uuid().nullable(),
  startedAt: z.iso.datetime({ offset: true }),
  spec: gameSpecSchema,
  players: z
    .array(
      z.object({
        playerId: z.uuid(),
        name: z.string(),
        handed: z.enum(HANDS),
        units: z.enum(UNIT_SYSTEMS),
        entrant: entrantSchema,
        clubs: z.array(z.object({ clubId: z.uuid().nullable(), label: z.string() })),
        /** The club with most balls on record; null before the first. */
        favourite: z.string().nullable(),
        /** The best score in earlier sessions of this version of the game, and of how many; null before the first. */
        best: z.object({ score: z.number(), sessions: z.int() }).nullable(),
      }),
    )
    .min(1),
  /** What the server already has, in its order. */
  events: z.array(shotEventSchema),
});
export type Bundle = z.infer<typeof bundleSchema>;
