'use server';

import { revalidatePath } from 'next/cache';
import { settingsSchema } from '@/core/people/account';
import { requireCoach } from '@/server/actor';
import { faults, type FormResult } from '../form/result';

export async function saveSettings(slug: string, input: unknown): Promise<FormResult> {
  const { data } = await requireCoach(slug);
  const parsed = settingsSchema.safeParse(input);
  if (!parsed.success) return faults(parsed.error);
  await data.saveAcademy(parsed.data);
  revalidatePath(`/a/${slug}`, 'layout');
  return { ok: true };
}
