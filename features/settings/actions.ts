'use server';

import { revalidatePath } from 'next/cache';
import { settingsSchema } from '@/core/people/account';
import { saveAcademy } from '@/db/queries/academies';
import { requireCoach } from '@/server/actor';
import { database } from '@/server/db';
import { faults, type FormResult } from '../form/result';

export async function saveSettings(slug: string, input: unknown): Promise<FormResult> {
  const { actor } = await requireCoach(slug);
  const parsed = settingsSchema.safeParse(input);
  if (!parsed.success) return faults(parsed.error);
  await saveAcademy(database(), actor, parsed.data);
  revalidatePath(`/a/${slug}`, 'layout');
  return { ok: true };
}
