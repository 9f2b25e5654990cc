'use server';

import * as z from 'zod';
import { MOST_PLAYERS } from '@/core/exchange/session-start';
import { hourSchema, MOST_PARTS, partSchema } from '@/core/hour/hour';
import { schoolSchema } from '@/core/hour/school';
import { filledParts } from '@/server/known/proposals';
import { askedAtDesk, atDesk, basedOn, DONE, id } from '../../form/at-desk';
import { changedElsewhere, refused } from '../../form/result';

const playersSchema = z.array(id).min(1, 'Choose who it’s for.').max(MOST_PLAYERS, `At most ${MOST_PLAYERS} players.`);
const wishSchema = z.strictObject({
  school: schoolSchema,
  parts: z.array(partSchema).max(MOST_PARTS),
  greenId: id.nullable(),
  seed: z.int().min(1).max(999),
});

/** What parts of an hour are filled with, for these players; by the keys of the parts. */
export const fillAction = askedAtDesk([playersSchema, wishSchema], async (desk, playerIds, { school, parts, greenId, seed }) => {
  const { data } = desk;
  const [rows, green] = await Promise.all([data.listPlayers(), greenId ? data.getGreen(greenId) : null]);
  const players = playerIds.flatMap((one) => rows.find(({ player }) => player.playerId === one)?.player ?? []);
  if (players.length === 0) return refused('Choose who it’s for.');
  return { ...DONE, filled: await filledParts(desk, players, { school, parts, green: green?.plan ?? null, seed }) };
});

/** Saves a planned hour under the id that the page made for it. */
export const saveHourAction = atDesk([id, hourSchema, playersSchema, basedOn], async ({ data }, hourId, hour, playerIds, openedAt) => {
  const saved = await data.saveHour(hourId, hour, playerIds, openedAt);
  if (saved === null) return changedElsewhere('hour');
  const { savedAt } = (await data.getHour(hourId))!;
  return { ...DONE, hour: saved, savedAt };
});

/** Puts a planned hour away, or brings it back. */
export const archiveHourAction = atDesk([id, z.boolean()], async ({ data }, hourId, archived) => {
  await data.archiveHour(hourId, archived);
  return DONE;
});

/** Keeps a coach's own school under an id, or takes it away. */
export const saveSchoolAction = atDesk([id, schoolSchema.nullable()], async ({ data }, schoolId, school) => {
  await data.saveSchool(schoolId, school);
  return DONE;
});
