'use server';

import { revalidatePath } from 'next/cache';
import { z } from 'zod';
import { notesSchema } from '@/core/game/bundle';
import { conditionsSchema } from '@/core/shot/conditions';
import { requireCoach } from '@/server/actor';

/** Keeps a note about a player's session. */
export async function saveNoteAction(slug: string, sessionId: unknown, playerId: unknown, whose: unknown, text: unknown): Promise<void> {
  const { data } = await requireCoach(slug);
  const id = z.uuid().parse(sessionId);
  await data.saveNote(id, z.uuid().parse(playerId), z.enum(['own', 'coach']).parse(whose), notesSchema.shape.own.parse(text));
  revalidatePath(`/a/${slug}/sessions/${id}`);
}

/** Says what today is like, for every session of the day. */
export async function saveTodayAction(slug: string, conditions: unknown): Promise<void> {
  const { data } = await requireCoach(slug);
  await data.saveConditionsToday(conditionsSchema.parse(conditions));
  revalidatePath(`/a/${slug}`, 'layout');
}
