'use server';

import { revalidatePath } from 'next/cache';
import { z } from 'zod';
import { playerSchema } from '@/core/people/player';
import { requireCoach } from '@/server/actor';
import { faults, type FormResult } from '../form/result';

/** Saves a player under the id that the form made, so that sending it twice saves one. */
export async function savePlayerAction(slug: string, playerId: unknown, input: unknown): Promise<FormResult> {
  const { data } = await requireCoach(slug);
  const id = z.uuid().parse(playerId);
  const parsed = playerSchema.safeParse(input);
  if (!parsed.success) return faults(parsed.error);
  await data.savePlayer(id, parsed.data);
  revalidatePath(`/a/${slug}`, 'layout');
  return { ok: true };
}
