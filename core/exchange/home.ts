import * as z from 'zod';
import { documentKind, type Step } from '../document';
import { UNIT_SYSTEMS } from '../units/length';
import { whole } from '../stored';
import { storedHours, storedRuns } from '../hour/stored-hours';
import { kitSchema } from './kit';

/** A planned hour, for whom it is, and how it was done last; null: it was not. */
const homeHourSchema = z.object({
  hourId: z.uuid(),
  /** At which time of its day, "17:30"; null where nobody said. */
  at: z.string().max(5).nullable().default(null),
  hour: z.unknown().refine(storedHours.understands).transform(storedHours.read),
  playerIds: z.array(z.uuid()),
  run: z
    .unknown()
    .transform((run) => (storedRuns.understands(run) ? storedRuns.read(run) : null))
    .default(null),
});
export type HomeHour = z.infer<typeof homeHourSchema>;

/** How the shape of homes changed, step by step. */
const STEPS: readonly Step[] = [
  // 2: planned hours, and games that stand in no list.
  (home) => {
    const kit = home.kit as { games: object[] } | null | undefined;
    return { ...home, hours: [], kit: kit ? { ...kit, games: kit.games.map((game) => ({ listed: true, ...game })) } : null };
  },
];
export const presentHome = z.object({
  version: whole(1)
    .default(1)
    .transform(() => STEPS.length + 1),
  academy: z.object({ slug: z.string().default(''), name: z.string() }),
  /** Whose it is by a personal link; null: whoever coaches. */
  player: z.object({ playerId: z.uuid(), name: z.string(), units: z.enum(UNIT_SYSTEMS) }).nullable(),
  /** Whether a coach holds it: false for an assistant, who only reads at the desk. An older program said nothing of it. */
  desk: z.boolean().optional(),
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
  /** Planned hours that may still be done; none of an older program, and none of a newer one that this one could not run. */
  hours: z
    .array(z.unknown())
    .default([])
    .transform((hours) =>
      hours.flatMap((one) => {
        const planned = homeHourSchema.safeParse(one);
        return planned.success ? [planned.data] : [];
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
