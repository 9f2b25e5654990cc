'use server';

import { revalidatePath } from 'next/cache';
import { z } from 'zod';
import { dreadsSchema, roundMixSchema } from '@/core/people/player';
import { requireCoach } from '@/server/actor';
import type { Data } from '@/server/data';
import { faults, type FormResult } from '../form/result';

/** Checks what came, keeps it for a player, and lets the boards be drawn anew. */
async function keep<T>(
  slug: string,
  playerId: unknown,
  schema: z.ZodType<T>,
  input: unknown,
  save: (data: Data, id: string, kept: T) => Promise<void>,
) {
  const { data } = await requireCoach(slug);
  const parsed = schema.safeParse(input);
  if (!parsed.success) return faults(parsed.error);
  await save(data, z.uuid().parse(playerId), parsed.data);
  revalidatePath(`/a/${slug}/players`, 'layout');
  return { ok: true } as const;
}

/** Keeps which shots a player dreads. */
export async function saveDreadsAction(slug: string, playerId: unknown, input: unknown): Promise<FormResult> {
  return keep(slug, playerId, dreadsSchema, input, (data, id, dreads) => data.saveDreads(id, dreads));
}

/** Keeps how often shots come up in a player's rounds; null: as often as is usual at the level. */
export async function saveRoundMixAction(slug: string, playerId: unknown, input: unknown): Promise<FormResult> {
  return keep(slug, playerId, roundMixSchema, input, (data, id, mix) => data.saveRoundMix(id, mix));
}
