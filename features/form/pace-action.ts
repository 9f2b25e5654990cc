'use server';

import { ownLengths } from '@/core/measures/own-lengths';
import { atDesk, DONE, id } from './at-desk';

/** Keeps the pace that was measured, of a player or (without one) of the coach. */
export const savePaceAction = atDesk([id.nullable(), ownLengths.paceM], async ({ data }, playerId, metres) => {
  await data.savePace(playerId, metres);
  return DONE;
});
