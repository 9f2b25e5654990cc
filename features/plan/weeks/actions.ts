'use server';

import { randomUUID } from 'node:crypto';
import { after } from 'next/server';
import * as z from 'zod';
import { MOST_PLAYERS } from '@/core/exchange/session-start';
import { LONGEST, SHORTEST } from '@/core/hour/hour';
import { readPlanFile, weeksAnew } from '@/core/weeks/plan-file';
import { MOST_SHOTS, MOST_WEEKS, weeksSchema } from '@/core/weeks/weeks';
import { key } from '@/core/stored';
import { blockTest } from '@/server/known/proposals';
import { makeHours } from '@/server/known/weeks';
import { askedAtDesk, atDesk, basedOn, DONE, fileText, id } from '../../form/at-desk';
import { changedElsewhere, problemsByPlace, refused } from '../../form/result';

const NOBODY = 'Choose who it’s for.';
const playersSchema = z.array(id).min(1, NOBODY).max(MOST_PLAYERS, `At most ${MOST_PLAYERS} players.`);
const testSchema = z.strictObject({
  minutes: z.int().min(SHORTEST).max(LONGEST),
  days: z
    .int()
    .min(0)
    .max(7 * MOST_WEEKS),
  greenId: id.nullable(),
  shots: z.array(key).max(MOST_SHOTS),
});

/** What a block of weeks works on, and how that is tested; `shots` are those that were chosen, none: the costliest. */
export const blockTestAction = askedAtDesk([playersSchema, testSchema], async (desk, playerIds, { greenId, ...asked }) => {
  const { data } = desk;
  const [rows, green] = await Promise.all([data.listPlayers(), greenId ? data.getGreen(greenId) : null]);
  const players = playerIds.flatMap((one) => rows.find(({ player }) => player.playerId === one)?.player ?? []);
  if (players.length === 0) return refused(NOBODY);
  return { ...DONE, test: await blockTest(desk, players, { ...asked, green: green?.plan ?? null }) };
});

/** Saves planned weeks under the id that the page made for them; their hours are made afterwards. */
export const saveWeeksAction = atDesk([id, weeksSchema, playersSchema, basedOn], async (desk, weeksId, weeks, playerIds, openedAt) => {
  const { data } = desk;
  if (!(await data.saveWeeks(weeksId, weeks, playerIds, openedAt))) return changedElsewhere('plan');
  const row = (await data.getWeeks(weeksId))!;
  after(() => makeHours(desk, row));
  return { ...DONE, savedAt: row.savedAt };
});

/** Puts planned weeks away, or brings them back. */
export const archiveWeeksAction = atDesk([id, z.boolean()], async ({ data }, weeksId, archived) => {
  await data.archiveWeeks(weeksId, archived);
  return DONE;
});

/** Takes in a file of a planned session or of planned weeks, for nobody yet; what is wrong in it is said with its place. */
export const importPlanAction = atDesk([fileText], async ({ data }, text) => {
  const read = readPlanFile(text);
  if ('problems' in read) return problemsByPlace(read.problems);
  const planId = randomUUID();
  const planned = 'hour' in read ? read.hour : read.weeks;
  // A green of somewhere else is none here.
  const greenId = planned.greenId && (await data.getGreen(planned.greenId)) ? planned.greenId : null;
  if ('hour' in read) await data.saveHour(planId, { ...read.hour, greenId }, [], null);
  else await data.saveWeeks(planId, { ...weeksAnew(read.weeks, randomUUID), greenId }, [], null);
  return { ...DONE, path: `${'hour' in read ? 'hour' : 'weeks'}/${planId}` };
});
