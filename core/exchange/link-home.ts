import * as z from 'zod';
import { UNIT_SYSTEMS } from '../units/length';

/** What a personal link opens: one player's sessions, those that can be gone on with first. */
export const linkHomeSchema = z.object({
  academy: z.object({ name: z.string() }),
  player: z.object({ playerId: z.uuid(), name: z.string(), units: z.enum(UNIT_SYSTEMS) }),
  expiresAt: z.iso.datetime({ offset: true }),
  sessions: z.array(
    z.object({
      sessionId: z.uuid(),
      gameId: z.uuid().nullable(),
      title: z.string(),
      startedAt: z.iso.datetime({ offset: true }),
      over: z.boolean(),
      /** The player's own balls. */
      balls: z.int(),
      /** In words with its unit, "14 points"; null while it goes on. */
      score: z.string().nullable(),
    }),
  ),
});
export type LinkHome = z.infer<typeof linkHomeSchema>;

/** A game that the player has played is started once more, for that player alone, under an id that the device made. */
export const againSchema = z.object({ sessionId: z.uuid(), gameId: z.uuid() });
export type Again = z.infer<typeof againSchema>;
