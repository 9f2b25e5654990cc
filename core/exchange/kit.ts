import * as z from 'zod';
import { storedGames } from '../game/stored-games';
import { HANDS } from '../golf/words';
import { sentConditionsSchema } from '../shot/conditions';
import { UNIT_SYSTEMS } from '../units/length';

const measures = { paceM: z.number().nullable(), clubM: z.number().nullable(), putterM: z.number().nullable().default(null) };

const kitGame = z.object({
  gameId: z.uuid(),
  version: z.int(),
  /** Whether it stands in the lists; one that was made for a planned hour does not. */
  listed: z.boolean().default(true),
  /** As it was stored, however stricter the designer has become since. */
  spec: z.unknown().refine(storedGames.understands).transform(storedGames.read),
  /** What its green's plan says about the day. */
  conditions: sentConditionsSchema,
});
/** How far one club carries to one mark, as it stands in a chart of swing lengths; metres. */
const kitSwing = z.object({
  club: z.string(),
  mark: z.string(),
  balls: z.int(),
  carryM: z.number(),
  fromM: z.number(),
  toM: z.number(),
  giveM: z.number(),
});
const kitPlayer = z.object({
  playerId: z.uuid(),
  name: z.string(),
  handed: z.enum(HANDS),
  units: z.enum(UNIT_SYSTEMS),
  level: z.number(),
  /** By how much zones that grow with the level are larger for this player: a phone does not carry the reference that tells. */
  scale: z.number().gt(0),
  ...measures,
  /** Lofts in degrees; null where nobody knows, or of an older program. */
  clubs: z.array(z.object({ clubId: z.uuid().nullable(), label: z.string(), loftDeg: z.number().nullable().default(null) })),
  /** The player's own names for swing lengths, from low to high; none of an older program. */
  marks: z.array(z.string()).default([]),
  /** The player's chart of swing lengths; none of an older program. */
  swings: z.array(kitSwing).default([]),
  /** By how much more or less of each off-green cell is left than the level leaves, as a logarithm, from so many balls; null where nothing is kept. */
  strays: z
    .object({ balls: z.int(), offGreen: z.record(z.string(), z.number()) })
    .nullable()
    .default(null),
  /** The club with most balls on record; null before the first. */
  favourite: z.string().nullable(),
});

/** All that a device needs to start games with no network: the games in their present version, who plays, and with what. */
export const kitSchema = z.object({
  /** The coach's own measures, for whoever has none. */
  coach: z.object({ ...measures, flagstickM: z.number().nullable().default(null) }),
  /** What was said about a day, until somebody says more. */
  today: z.object({ day: z.iso.date(), conditions: sentConditionsSchema }),
  /** Without those of a newer program, which this one could not play. */
  games: z.array(z.unknown()).transform((games) =>
    games.flatMap((one) => {
      const game = kitGame.safeParse(one);
      return game.success ? [game.data] : [];
    }),
  ),
  players: z.array(kitPlayer),
  /** Somebody who plays along once, but for the name. */
  guest: kitPlayer.omit({ playerId: true, name: true }),
  /** The best score of each player in the present version of a game, and of how many sessions. */
  bests: z.array(z.object({ playerId: z.uuid(), gameId: z.uuid(), score: z.number(), sessions: z.int() })),
});
export type Kit = z.infer<typeof kitSchema>;
export type KitGame = Kit['games'][number];
