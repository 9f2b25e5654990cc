'use server';

import { revalidatePath } from 'next/cache';
import { z } from 'zod';
import { resumeSession, stopSession } from '@/db/queries/sessions';
import { requireCoach } from '@/server/actor';
import { database } from '@/server/db';

/** Ends a session before its last ball. Its balls stay. */
export async function stopAction(slug: string, sessionId: string): Promise<void> {
  const { actor } = await requireCoach(slug);
  await stopSession(database(), actor, z.uuid().parse(sessionId));
  revalidatePath(`/a/${slug}`, 'layout');
}

/** Takes an early end back. */
export async function resumeAction(slug: string, sessionId: string): Promise<void> {
  const { actor } = await requireCoach(slug);
  await resumeSession(database(), actor, z.uuid().parse(sessionId));
  revalidatePath(`/a/${slug}`, 'layout');
}
