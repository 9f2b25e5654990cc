'use server';

import * as z from 'zod';
import { notesSchema } from '@/core/exchange/bundle';
import { tagsSchema } from '@/core/logbook/asked';
import { sentConditionsSchema } from '@/core/shot/conditions';
import { atDesk, atSharedDesk, DONE, id } from '../form/at-desk';

/** Keeps a note about a player's session. */
export const saveNoteAction = atSharedDesk(
  [id, id, z.enum(['own', 'coach']), notesSchema.shape.own],
  async ({ data }, sessionId, playerId, whose, text) => {
    await data.saveNote(sessionId, playerId, whose, text);
    return DONE;
  },
);

/** Files a session under words, typed with commas between. */
export const saveTagsAction = atDesk([id, tagsSchema], async ({ data }, sessionId, tags) => {
  await data.saveTags(sessionId, tags);
  return DONE;
});

/** Says what today is like, for every session of the day. */
export const saveTodayAction = atDesk([sentConditionsSchema], async ({ data }, conditions) => {
  await data.saveConditionsToday(conditions);
  return DONE;
});
