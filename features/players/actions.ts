'use server';

import { revalidatePath } from 'next/cache';
import { z } from 'zod';
import { playerSchema } from '@/core/people/player';
import { requireCoach } from '@/server/actor';
import { changedElsewhere, faults, type FormResult } from '../form/result';

/**
 * Saves a player under the id that the form made, so that sending it twice saves one.
 * @param basedOn when what was changed had been saved; null for a player who was not saved yet
 */
export async function savePlayerAction(slug: string, playerId: unknown, input: unknown, basedOn: unknown = null): Promise<FormResult> {
  const { data } = await requireCoach(slug);
  const id = z.uuid().parse(playerId);
  const parsed = playerSchema.safeParse(input);
  if (!parsed.success) return faults(parsed.error);
  if (!(await data.savePlayer(id, parsed.data, z.date().nullable().parse(basedOn)))) return changedElsewhere('player');
  revalidatePath(`/a/${slug}`, 'layout');
  return { ok: true };
}
