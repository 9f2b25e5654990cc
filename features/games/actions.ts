'use server';

import { revalidatePath } from 'next/cache';
import { z } from 'zod';
import { gameSpecSchema } from '@/core/game/spec';
import { requireCoach } from '@/server/actor';
import { faults, type FormResult } from '../form/result';

/** Saves a game under the id that the form made for it, so that sending it twice saves it once. */
export async function saveGameAction(slug: string, gameId: unknown, input: unknown): Promise<FormResult> {
  const { data } = await requireCoach(slug);
  const id = z.uuid().parse(gameId);
  const parsed = gameSpecSchema.safeParse(input);
  if (!parsed.success) return faults(parsed.error);
  await data.saveGame(id, parsed.data);
  revalidatePath(`/a/${slug}`, 'layout');
  return { ok: true };
}

/** Starts a game for a player under an id that the page made, so that a double click starts one session. */
export async function startAction(slug: string, sessionId: unknown, gameId: unknown, playerId: unknown): Promise<FormResult> {
  const { data } = await requireCoach(slug);
  const id = z.uuid();
  const started = await data.startSession(id.parse(sessionId), id.parse(gameId), [id.parse(playerId)]);
  return started ? { ok: true } : { ok: false, fields: { '': 'This game or this player is no longer here. Load the page again.' } };
}
