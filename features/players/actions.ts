'use server';

import * as z from 'zod';
import { playerSchema } from '@/core/people/player';
import { atDesk, basedOn, DONE, id } from '../form/at-desk';
import { changedElsewhere, refused } from '../form/result';

/** Saves a player under the id that the form made, so that sending it twice saves one. */
export const savePlayerAction = atDesk([id, playerSchema, basedOn], async ({ data }, playerId, form, openedAt) =>
  (await data.savePlayer(playerId, form, openedAt)) ? DONE : changedElsewhere('player'),
);

/** Puts a player away, or brings them back. */
export const archivePlayerAction = atDesk([id, z.boolean()], async ({ data }, playerId, archived) => {
  await data.archivePlayer(playerId, archived);
  return DONE;
});

/** Erases a player for good, where their name was typed to say so. */
export const erasePlayerAction = atDesk([id, z.string().max(200)], async ({ data }, playerId, typed) => {
  const found = await data.getPlayer(playerId);
  if (!found) return DONE;
  if (typed.trim().normalize('NFC') !== found.player.name) return refused('That’s not the name.');
  await data.erasePlayer(playerId);
  return DONE;
});
