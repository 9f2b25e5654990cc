'use server';

import { revalidatePath } from 'next/cache';
import { z } from 'zod';
import { ownLengths } from '@/core/people/own-lengths';
import { requireCoach } from '@/server/actor';
import { faults, type FormResult } from '../../form/result';

/** Keeps the pace that was measured, of a player or (without one) of the coach. */
export async function savePaceAction(slug: string, playerId: unknown, metres: unknown): Promise<FormResult> {
  const { data } = await requireCoach(slug);
  const parsed = ownLengths.paceM.safeParse(metres);
  if (!parsed.success) return faults(parsed.error);
  await data.savePace(z.uuid().nullable().parse(playerId), parsed.data);
  revalidatePath(`/a/${slug}`, 'layout');
  return { ok: true };
}
