import * as z from 'zod';
import { HANDS } from '../golf/words';
import { sentConditionsSchema, stationDistanceSchema } from '../shot/conditions';
import { takenInSchema } from '../shot/shot';
import { UNIT_SYSTEMS } from '../units/length';
import { entrantSchema } from '../game/entrant';
import { storedGames } from '../game/stored-games';
import { documentKind, type Step } from '../document';
import { lines, moment, openObject, whole } from '../stored';

const note = lines(500);
/**
 * What was written about a player's session: by the player, and by the coach who asks. For a player, `coach` is what a coach wrote last, for
 * devices that know no `coaches`.
 */
export const notesSchema = openObject({
  own: note,
  coach: note,
  /** What coaches wrote, beside the one who asks, in the order of their changes. */
  coaches: z.array(openObject({ by: z.string(), text: z.string(), at: moment })),
});
export type Notes = z.infer<typeof notesSchema>;

/** How the shape of bundles changed, step by step. */
const STEPS: readonly Step[] = [
  // 2: what coaches wrote is told by the coach.
  ({ players, ...bundle }) => ({
    ...bundle,
    players: Array.isArray(players)
      ? (players as { notes?: object }[]).map((player) => ({ ...player, notes: { coaches: [], ...player.notes } }))
      : players,
  }),
];
const presentBundle = z.object({
  /** What is left of a newer one, once what is not known of it is gone, is one of the present version. */
  version: whole(1)
    .default(1)
    .transform(() => STEPS.length + 1),
  academy: z.object({ slug: z.string(), name: z.string() }),
  sessionId: z.uuid(),
  gameId: z.uuid().nullable(),
  startedAt: z.iso.datetime({ offset: true }),
  /** Whether it was ended before its last ball. */
  stopped: z.boolean(),
  /** As it was stored, however stricter the designer has become since. */
  spec: z.unknown().refine(storedGames.understands, 'This game was made with a newer version of the program.').transform(storedGames.read),
  /** Opened by a personal link: the one player whose balls may be recorded with it. */
  only: z.uuid().nullable(),
  /** Distances that were corrected for this session. */
  stations: z.array(stationDistanceSchema),
  conditions: sentConditionsSchema,
  players: z
    .array(
      z.object({
        playerId: z.uuid(),
        name: z.string(),
        handed: z.enum(HANDS),
        units: z.enum(UNIT_SYSTEMS),
        entrant: entrantSchema,
        clubs: z.array(z.object({ clubId: z.uuid().nullable(), label: z.string() })),
        /** The player's own names for swing lengths, from low to high; none of an older program. */
        marks: z.array(z.string()).default([]),
        /** The club with most balls on record; null before the first. */
        favourite: z.string().nullable(),
        /** The best score in earlier sessions of this version of the game, and of how many; null before the first. */
        best: z.object({ score: z.number(), sessions: z.int() }).nullable(),
        /** Metres of the player's pace and club, or the coach's; null where nobody measured. */
        measures: z.object({ paceM: z.number().nullable(), clubM: z.number().nullable() }),
        /** Within what half of the balls of the player's level stop, in metres, by the station's key; of a program that knows no such thing, nothing. */
        usual: z.record(z.string(), z.number()).default({}),
        notes: notesSchema,
      }),
    )
    .min(1),
  /** What the server already has, in its order. */
  events: z.array(takenInSchema),
});
export type Bundle = z.infer<typeof presentBundle>;

/** Bundles that a device keeps. */
export const storedBundles = documentKind<Bundle>(STEPS);

/** All that a device needs to play one session with no network: fetched from a server of any version, and kept on the device. */
export const bundleSchema = z.preprocess(storedBundles.read, presentBundle);
