'use server';

import * as z from 'zod';
import { MOST_PLAYERS } from '@/core/exchange/session-start';
import { readGameFile } from '@/core/game/file';
import { MOST_ALLOWANCE } from '@/core/game/entrant';
import { LIBRARY } from '@/core/game/library';
import { gameSpecSchema } from '@/core/game/spec';
import { guestSchema } from '@/core/people/player';
import type { Data } from '@/server/data';
import { atDesk, basedOn, DONE, fileText, id } from '../form/at-desk';
import { changedElsewhere, problemsByPlace, refused } from '../form/result';

/** Saves a game under the id that the form made for it, so that sending it twice saves it once; on a green, if it stands on one. */
export const saveGameAction = atDesk([id, gameSpecSchema, id.nullable(), basedOn], async ({ data }, gameId, spec, greenId, openedAt) => {
  const saved = await data.saveGame(gameId, spec, greenId, openedAt);
  return saved === null ? changedElsewhere('game') : DONE;
});

/** Takes in a game file. What is wrong in it is said with its place. */
export const importGameAction = atDesk([id, fileText], async ({ data }, gameId, text) => {
  const read = readGameFile(text);
  if ('problems' in read) return problemsByPlace(read.problems);
  // A file knows no green: its stations stand by themselves.
  await data.saveGame(gameId, { ...read.game, stations: read.game.stations.map((station) => ({ ...station, place: null })) });
  return DONE;
});

/** Puts a game away, or brings it back. */
export const archiveAction = atDesk([id, z.boolean()], async ({ data }, gameId, archived) => {
  await data.archiveGame(gameId, archived);
  return DONE;
});

const sourceSchema = z.union([z.strictObject({ gameId: id }), z.strictObject({ library: z.string().max(100), gameId: id })], {
  error: 'This page is out of date. Load it again.',
});
const entrantsSchema = z
  .array(
    z.strictObject({
      playerId: id,
      /** The name of somebody who plays along once. */
      guest: guestSchema.optional(),
      allowance: z
        .number({ error: 'Give the head start as a number, or leave it empty.' })
        .min(-MOST_ALLOWANCE, `A head start is at most ${MOST_ALLOWANCE}.`)
        .max(MOST_ALLOWANCE, `A head start is at most ${MOST_ALLOWANCE}.`)
        .refine((value) => Number.isInteger(value * 2), 'A head start is a whole or a half figure.'),
    }),
  )
  .min(1, 'Choose who plays.')
  .max(MOST_PLAYERS, `At most ${MOST_PLAYERS} players in a session.`)
  .refine((all) => new Set(all.map(({ playerId }) => playerId)).size === all.length, 'A player can be in a session only once.');

/** Starts a game for some players under an id that the page made, so that a double click starts one session. */
export const startAction = atDesk([id, sourceSchema, entrantsSchema], async ({ data }, sessionId, source, entrants) => {
  const gameId = 'library' in source ? await ownCopy(data, source) : source.gameId;
  const started = gameId && (await data.startSession(sessionId, gameId, entrants));
  return started ? DONE : refused('This game or one of the players is no longer here. Load the page again.');
});

/** The academy's own copy of a library game: the one it has already, or a new one. */
async function ownCopy(data: Data, { library, gameId }: { library: string; gameId: string }): Promise<string | null> {
  const found = LIBRARY.find((entry) => entry.key === library);
  if (!found) return null;
  const own = await data.findGame(found.spec);
  if (own) return own;
  await data.saveGame(gameId, found.spec);
  return gameId;
}
