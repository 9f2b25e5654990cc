import * as z from 'zod';
import { documentKind, type Step } from '../document';
import { UNIT_SYSTEMS } from '../units/length';
import { whole } from '../stored';
import { kitSchema } from './kit';

/** How the shape of homes changed, step by step. */
const STEPS: readonly Step[] = [];
export const presentHome = z.object({
  version: whole(1)
    .default(1)
    .transform(() => STEPS.length + 1),
  academy: z.object({ slug: z.string().default(''), name: z.string() }),
  /** Whose it is by a personal link; null: whoever coaches. */
  player: z.object({ playerId: z.uuid(), name: z.string(), units: z.enum(UNIT_SYSTEMS) }).nullable(),
  /** When a link ends; null for a sign-in. */
  expiresAt: z.iso.datetime({ offset: true }).nullable(),
  /** When the server said so; null for one of an older program. */
  at: z.iso.datetime({ offset: true }).nullable().default(null),
  sessions: z.array(
    z.object({
      sessionId: z.uuid(),
      gameId: z.uuid().nullable(),
      title: z.string(),
      startedAt: z.iso.datetime({ offset: true }),
      over: z.boolean(),
      /** Those that were recorded: of the link's player, or of all. */
      balls: z.int(),
      /** In words with its unit, "14 points"; null while it goes on. */
      score: z.string().nullable(),
      /** Who plays in it, with their ids; nobody where an older program said it. */
      players: z.array(z.object({ playerId: z.uuid(), name: z.string() })).default([]),
    }),
  ),
  /** With what games are started here; null where an older program said nothing of it. */
  kit: kitSchema.nullable().default(null),
});
/** What a personal link or a sign-in opens on a phone: sessions, those that can be gone on with first, and what it takes to start others. */
export type Home = z.infer<typeof presentHome>;
export type HomeSession = Home['sessions'][number];

/** Homes that a device keeps. */
export const storedHomes = documentKind<Home>(STEPS);
export const homeSchema = z.preprocess(storedHomes.read, presentHome);

/** A game that the player has played is started once more, for that player alone, under an id that the device made. */
export const againSchema = z.object({ sessionId: z.uuid(), gameId: z.uuid() });
