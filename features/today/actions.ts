'use server';

import { revalidatePath } from 'next/cache';
import { z } from 'zod';
import { requireCoach } from '@/server/actor';

/** Ends a session before its last ball. Its balls stay. */
export async function stopAction(slug: string, sessionId: string): Promise<void> {
  const { data } = await requireCoach(slug);
  await data.stopSession(z.uuid().parse(sessionId));
  revalidatePath(`/a/${slug}`, 'layout');
}

/** Takes an early end back. */
export async function resumeAction(slug: string, sessionId: string): Promise<void> {
  const { data } = await requireCoach(slug);
  await data.resumeSession(z.uuid().parse(sessionId));
  revalidatePath(`/a/${slug}`, 'layout');
}
