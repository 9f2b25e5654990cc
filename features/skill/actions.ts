'use server';

import { dreadsSchema, roundMixSchema } from '@/core/people/player';
import { atDesk, atSharedDesk, DONE, id } from '../form/at-desk';

/** Keeps which shots a player dreads. */
export const saveDreadsAction = atSharedDesk([id, dreadsSchema], async ({ data }, playerId, dreads) => {
  await data.saveDreads(playerId, dreads);
  return DONE;
});

/** Keeps how often shots come up in a player's rounds; null: as often as is usual at the level. */
export const saveRoundMixAction = atDesk([id, roundMixSchema], async ({ data }, playerId, mix) => {
  await data.saveRoundMix(playerId, mix);
  return DONE;
});
