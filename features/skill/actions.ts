'use server';

import { revalidatePath } from 'next/cache';
import { z } from 'zod';
import { dreadsSchema, roundMixSchema } from '@/core/people/player';
import { requireCoach } from '@/server/actor';
import { faults, type FormResult } from '../form/result';

/** Keeps which shots a player dreads. */
export async function saveDreadsAction(slug: string, playerId: unknown, input: unknown): Promise<FormResult> {
  const { data } = await requireCoach(slug);
  const parsed = dreadsSchema.safeParse(input);
  if (!parsed.success) return faults(parsed.error);
  await data.saveDreads(z.uuid().parse(playerId), parsed.data);
  revalidatePath(`/a/${slug}/players`, 'layout');
  return { ok: true };
}

/** Keeps how often shots come up in a player's rounds; null: as often as is usual at the level. */
export async function saveRoundMixAction(slug: string, playerId: unknown, input: unknown): Promise<FormResult> {
  const { data } = await requireCoach(slug);
  const parsed = roundMixSchema.safeParse(input);
  if (!parsed.success) return faults(parsed.error);
  await data.saveRoundMix(z.uuid().parse(playerId), parsed.data);
  revalidatePath(`/a/${slug}/players`, 'layout');
  return { ok: true };
}
