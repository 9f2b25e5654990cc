import * as z from 'zod';
import { documentKind, type Step } from '../document';
import { allowanceSchema, entrantFor, entrantSchema } from '../game/entrant';
import { schemeOf } from '../game/scoring';
import { levelSchema } from '../golf/level';
import { filledLine, moment, openObject, whole } from '../stored';
import { storedBundles, type Bundle } from './bundle';
import type { Home } from './home';

/** As many as a session takes. */
export const MOST_PLAYERS = 24;
/** Zones are no more than so many times as large as drawn, and a unit of them is no longer, in metres. */
const MOST_FOLD = 20;

/** How the shape of starts changed, step by step. */
const STEPS: readonly Step[] = [];
const presentStart = openObject({
  version: whole(1).optional(),
  sessionId: z.uuid(),
  /** The address of the academy whose game it is. */
  academy: z.string().min(1).max(200),
  gameId: z.uuid(),
  gameVersion: whole(1),
  /** By the device's clock. */
  startedAt: moment,
  /** What the game took from each player as it started, in the order in which they play. */
  entrants: z
    .array(
      entrantSchema.extend({
        level: levelSchema,
        unitM: z.number().gt(0).max(MOST_FOLD).nullable(),
        scale: z.number().gt(0).max(MOST_FOLD),
        allowance: allowanceSchema,
      }),
    )
    .min(1)
    .max(MOST_PLAYERS)
    .refine((all) => new Set(all.map(({ playerId }) => playerId)).size === all.length, 'A player can be in a session only once.'),
  /** Those of them who are no players of the academy, and play along once. */
  guests: z
    .array(z.object({ playerId: z.uuid(), name: filledLine(60) }))
    .max(MOST_PLAYERS)
    .optional(),
});
/** A session that a device began by itself, and tells of when it can. Saying it again changes nothing. */
export type SessionStart = z.infer<typeof presentStart>;

/** Starts that wait on a device. */
export const storedStarts = documentKind<SessionStart>(STEPS);
/** A start as a device of any version sends it, with what its clock says. */
export const sentStartSchema = z.object({ start: z.preprocess(storedStarts.read, presentStart), sentAt: moment });

/** What somebody starts, and when. */
export type Begun = {
  sessionId: string;
  gameId: string;
  playerIds: readonly string[];
  /** Those of them whom the kit does not know. */
  guests?: readonly { playerId: string; name: string }[];
  /** Head starts, by the player. */
  allowances?: Readonly<Record<string, number>>;
  startedAt: string;
  /** The day there, such as 2026-05-01. */ day: string;
};

/**
 * Begins a game with what a device has at hand.
 * @returns the session as the server would give it, and what has to be told of it; null where the game or a player is not among it, or
 * they are too few
 */
export function beginSession(
  home: Home,
  { sessionId, gameId, playerIds, guests = [], allowances = {}, startedAt, day }: Begun,
): { bundle: Bundle; start: SessionStart } | null {
  const { kit, academy } = home;
  const game = kit?.games.find((one) => one.gameId === gameId);
  const known = kit ? [...kit.players, ...guests.map((guest) => ({ ...kit.guest, ...guest }))] : [];
  const people = playerIds.flatMap((id) => known.find(({ playerId }) => playerId === id) ?? []);
  if (!kit || !game || people.length !== playerIds.length || people.length < Math.max(1, schemeOf(game.spec.scoring).players)) return null;
  const entrants = people.map((player) => entrantFor(player, game.spec.sizes, kit.coach, allowances[player.playerId] ?? 0));
  return {
    start: {
      version: storedStarts.version,
      sessionId,
      academy: academy.slug,
      gameId,
      gameVersion: game.version,
      startedAt,
      entrants,
      guests: guests.filter(({ playerId }) => playerIds.includes(playerId)),
    },
    bundle: {
      version: storedBundles.version,
      academy,
      sessionId,
      gameId,
      startedAt,
      stopped: false,
      spec: game.spec,
      only: home.player?.playerId ?? null,
      stations: [],
      conditions: { ...game.conditions, ...(kit.today.day === day ? kit.today.conditions : {}) },
      players: people.map(({ playerId, name, handed, units, paceM, clubM, clubs, marks, favourite }, i) => {
        const best = kit.bests.find((one) => one.playerId === playerId && one.gameId === gameId);
        return {
          playerId,
          name,
          handed,
          units,
          entrant: entrants[i]!,
          clubs,
          marks,
          favourite,
          best: best ? { score: best.score, sessions: best.sessions } : null,
          measures: { paceM: paceM ?? kit.coach.paceM, clubM: clubM ?? kit.coach.clubM },
          usual: {},
          notes: { own: '', coach: '', coaches: [] },
        };
      }),
      events: [],
    },
  };
}
