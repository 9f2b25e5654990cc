'use server';

import * as z from 'zod';
import { readGeoJson } from '@/core/green/geojson';
import { greenPlanSchema } from '@/core/green/plan';
import { atDesk, basedOn, DONE, fileText, id } from '../form/at-desk';
import { changedElsewhere, problemsByPlace } from '../form/result';

/** Saves a green under the id that the page made for it, and takes the games on it along. */
export const saveGreenAction = atDesk([id, greenPlanSchema, basedOn], async ({ data }, greenId, plan, openedAt) => {
  const saved = await data.saveGreen(greenId, plan, openedAt);
  return saved ? { ...DONE, saved } : changedElsewhere('green');
});

/** Takes in a green as GeoJSON, and says what became what; what is wrong in it is said with its place. */
export const importGreenAction = atDesk([id, fileText], async ({ data }, greenId, text) => {
  const read = readGeoJson(text);
  if ('problems' in read) return problemsByPlace(read.problems);
  await data.saveGreen(greenId, read.plan);
  return { ...DONE, notes: read.notes };
});

/** Puts a green away, or brings it back. */
export const archiveGreenAction = atDesk([id, z.boolean()], async ({ data }, greenId, archived) => {
  await data.archiveGreen(greenId, archived);
  return DONE;
});
