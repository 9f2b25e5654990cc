'use server';

import { revalidatePath } from 'next/cache';
import { z } from 'zod';
import { playerSchema } from '@/core/people/player';
import { savePlayer } from '@/db/queries/players';
import { requireCoach } from '@/server/actor';
import { database } from '@/server/db';
import { faults, type FormResult } from '../form/result';

/** Saves a player under the id that the form made, so that sending it twice saves one. */
export async function savePlayerAction(slug: string, playerId: unknown, input: unknown): Promise<FormResult> {
  const { actor } = await requireCoach(slug);
  const id = z.uuid().parse(playerId);
  const parsed = playerSchema.safeParse(input);
  if (!parsed.success) return faults(parsed.error);
  await savePlayer(database(), actor, id, parsed.data);
  revalidatePath(`/a/${slug}`, 'layout');
  return { ok: true };
}
