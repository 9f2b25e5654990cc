'use server';

import { revalidatePath } from 'next/cache';
import { z } from 'zod';
import { readGeoJson } from '@/core/green/geojson';
import { greenPlanSchema } from '@/core/green/plan';
import { requireCoach } from '@/server/actor';
import type { SavedGreen } from '@/server/data';
import { changedElsewhere, faults, type Refused } from '../form/result';

/**
 * Saves a green under the id that the page made for it, and takes the games on it along.
 * @param basedOn when what was changed had been saved; null for a green that was not saved yet
 */
export async function saveGreenAction(
  slug: string,
  greenId: unknown,
  input: unknown,
  basedOn: unknown,
): Promise<{ ok: true; saved: SavedGreen } | Refused> {
  const { data } = await requireCoach(slug);
  const id = z.uuid().parse(greenId);
  const parsed = greenPlanSchema.safeParse(input);
  if (!parsed.success) return faults(parsed.error);
  const saved = await data.saveGreen(id, parsed.data, z.date().nullable().parse(basedOn));
  if (!saved) return changedElsewhere('green');
  revalidatePath(`/a/${slug}`, 'layout');
  return { ok: true, saved };
}

/** Takes in a green as GeoJSON, and says what became what; what is wrong in it is said with its place. */
export async function importGreenAction(slug: string, greenId: unknown, text: unknown): Promise<{ ok: true; notes: string[] } | Refused> {
  const { data } = await requireCoach(slug);
  const id = z.uuid().parse(greenId);
  const read = readGeoJson(z.string().parse(text));
  if ('problems' in read) return { ok: false, fields: Object.fromEntries(read.problems.map(({ path, message }) => [path, message])) };
  await data.saveGreen(id, read.plan);
  revalidatePath(`/a/${slug}`, 'layout');
  return { ok: true, notes: read.notes };
}

/** Puts a green away, or brings it back. */
export async function archiveGreenAction(slug: string, greenId: unknown, archived: unknown): Promise<void> {
  const { data } = await requireCoach(slug);
  await data.archiveGreen(z.uuid().parse(greenId), z.boolean().parse(archived));
  revalidatePath(`/a/${slug}`, 'layout');
}
