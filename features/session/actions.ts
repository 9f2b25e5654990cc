'use server';

import * as z from 'zod';
import { notesSchema } from '@/core/exchange/bundle';
import { sentConditionsSchema } from '@/core/shot/conditions';
import { atDesk, DONE, id } from '../form/at-desk';

/** Keeps a note about a player's session. */
export const saveNoteAction = atDesk(
  [id, id, z.enum(['own', 'coach']), notesSchema.shape.own],
  async ({ data }, sessionId, playerId, whose, text) => {
    await data.saveNote(sessionId, playerId, whose, text);
    return DONE;
  },
);

/** Says what today is like, for every session of the day. */
export const saveTodayAction = atDesk([sentConditionsSchema], async ({ data }, conditions) => {
  await data.saveConditionsToday(conditions);
  return DONE;
});
