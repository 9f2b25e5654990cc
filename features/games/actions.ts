'use server';

import * as z from 'zod';
import { MOST_PLAYERS } from '@/core/exchange/session-start';
import { readGameFile } from '@/core/game/file';
import { LIBRARY } from '@/core/game/library';
import { gameSpecSchema } from '@/core/game/spec';
import type { Data } from '@/server/data';
import { homeForGame } from '../play/server/home';
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
const playersSchema = z.array(id).max(MOST_PLAYERS, `At most ${MOST_PLAYERS} players in a session.`);

/**
 * What it takes to start a game for some players: the page begins it on its own device, as a phone does. Nothing is stored of it before
 * somebody means to play.
 */
export const kitAction = atDesk([sourceSchema, playersSchema], async ({ data, academy }, source, playerIds) => {
  const gameId = 'library' in source ? await ownCopy(data, source) : source.gameId;
  const home = gameId && (await homeForGame({ data, academy }, gameId, playerIds));
  return home ? { ...DONE, gameId, home } : refused('This game is no longer here. Load the page again.');
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
