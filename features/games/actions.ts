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

/** A game of the academy; or one of the library or a new one on a green, which is kept under this id unless the academy has it already. */
const sourceSchema = z.union(
  [
    z.strictObject({ gameId: id }),
    z.strictObject({ library: z.string().max(100), gameId: id }),
    z.strictObject({ made: gameSpecSchema, greenId: id.nullable(), gameId: id }),
  ],
  { error: 'This page is out of date. Load it again.' },
);
export type StartSource = z.input<typeof sourceSchema>;
const playersSchema = z.array(id).max(MOST_PLAYERS, `At most ${MOST_PLAYERS} players in a session.`);

/**
 * What it takes to start a game for some players: the page begins it on its own device, as a phone does. Nothing is stored of it before
 * somebody means to play.
 */
export const kitAction = atDesk([sourceSchema, playersSchema], async ({ data, academy }, source, playerIds) => {
  const gameId = await kept(data, source);
  const home = gameId && (await homeForGame({ data, academy }, gameId, playerIds));
  return home ? { ...DONE, gameId, home } : refused('This game is no longer here. Load the page again.');
});

/** Under which id the academy has a game: its own, or from now on. */
async function kept(data: Data, source: z.output<typeof sourceSchema>): Promise<string | null> {
  const { gameId } = source;
  if (!('library' in source) && !('made' in source)) return gameId;
  const [spec, greenId] =
    'made' in source ? [source.made, source.greenId] : [LIBRARY.find(({ key }) => key === source.library)?.spec, null];
  if (!spec) return null;
  const own = await data.findGame(spec);
  if (own) return own;
  // A round by need is for one time: it stands in no list.
  await data.saveGame(gameId, spec, greenId, undefined, spec.calls.next === undefined);
  return gameId;
}
