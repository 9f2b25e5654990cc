'use server';

import { swingMarksSchema } from '@/core/people/player';
import { atDesk, DONE, id } from '../form/at-desk';

/** Keeps a player's own names for swing lengths. */
export const saveSwingMarksAction = atDesk([id, swingMarksSchema], async ({ data }, playerId, marks) => {
  await data.saveSwingMarks(playerId, marks);
  return DONE;
});
