'use server';

import * as z from 'zod';
import { ONE_WORD } from '@/core/people/family';
import { playerNoteSchema } from '@/core/people/note';
import { playerSchema } from '@/core/people/player';
import { atDesk, basedOn, DONE, id } from '../form/at-desk';
import { changedElsewhere, refused } from '../form/result';

/** Saves a player under the id that the form made, so that sending it twice saves one. */
export const savePlayerAction = atDesk([id, playerSchema, basedOn], async ({ data }, playerId, form, openedAt) => {
  const came = await data.savePlayer(playerId, form, openedAt);
  if (came === 'one word') return { ok: false as const, fields: { name: ONE_WORD } };
  return came === 'saved' ? DONE : changedElsewhere('player');
});

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

/** Keeps a coach's note about a player under the id that the page made for it. */
export const addPlayerNoteAction = atDesk([id, id, playerNoteSchema], async ({ data }, playerId, noteId, { text }) =>
  (await data.addNote(playerId, noteId, text)) ? DONE : refused('This player isn’t here any more.'),
);

/** Takes away a note about a player that the same coach wrote. */
export const removePlayerNoteAction = atDesk([id], async ({ data }, noteId) => {
  await data.removeNote(noteId);
  return DONE;
});
