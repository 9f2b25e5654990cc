'use server';

import { randomUUID } from 'node:crypto';
import { addDays } from 'date-fns';
import * as z from 'zod';
import { readReferenceTable } from '@/core/formats/reference-table';
import { keepYearsSchema, settingsSchema } from '@/core/people/account';
import { cellsOf } from '@/core/skill/cells';
import { shippedReference } from '@/core/golf/reference';
import { apiTokenSchema } from '@/core/people/api-token';
import { filledLine } from '@/core/stored';
import { newToken } from '@/server/token';
import { askedAtOwnersDesk, atDesk, atOwnersDesk, DONE, fileText, id } from '../form/at-desk';
import { problemsByPlace, refused } from '../form/result';

export const saveSettings = atDesk([settingsSchema], async ({ data }, settings) => {
  await data.saveAcademy(settings);
  return DONE;
});

/** Takes in a coach's own table of expected strokes; what is wrong in it is said by its line, and nothing is kept then. */
export const saveOwnTable = atDesk([filledLine(40, 'Give the table a name.'), fileText], async ({ data }, name, csv) => {
  const { reference, problems } = readReferenceTable(csv, cellsOf(shippedReference));
  if (problems.length > 0) return problemsByPlace(problems.map(({ line, message }) => ({ path: `line ${line}`, message })));
  await data.saveReference({ name, expected: reference });
  return DONE;
});

export const removeOwnTable = atDesk([], async ({ data }) => {
  await data.saveReference(null);
  return DONE;
});

/** What would go if sessions were kept for so many years only. */
export const previewRetentionAction = askedAtOwnersDesk([keepYearsSchema.unwrap()], async ({ data }, years) => ({
  ...DONE,
  ...(await data.whatRetentionTakes(years)),
}));

/** Says for how long sessions are kept. */
export const saveRetentionAction = atOwnersDesk([keepYearsSchema], async ({ data }, years) => {
  await data.saveRetention(years);
  return DONE;
});

/** For so many days the deletion of an academy can be taken back. */
const DAYS_TO_THINK = 7;

/** Has all of an academy deleted in a week, where its name was typed to say so. */
export const deleteAcademyAction = atOwnersDesk([z.string().max(200)], async ({ data, academy }, typed) => {
  if (typed.trim().normalize('NFC') !== academy.name.normalize('NFC')) return refused('That’s not the name.');
  await data.deleteAcademyAt(addDays(new Date(), DAYS_TO_THINK));
  return DONE;
});

/** Takes the deletion back. */
export const keepAcademyAction = atOwnersDesk([], async ({ data }) => {
  await data.deleteAcademyAt(null);
  return DONE;
});

/** Makes a key to the programming interface; it is shown now and never again. */
export const makeKeyAction = atOwnersDesk([apiTokenSchema], async ({ data, academy }, { days, ...asked }) => {
  const { token, hash } = newToken(academy.academyId);
  const tokenId = randomUUID();
  await data.keepToken({ tokenId, ...asked, tokenHash: hash, expiresAt: days === null ? null : addDays(new Date(), days) });
  return { ...DONE, key: { tokenId: tokenId as string, token } };
});

/** Ends a key at once. */
export const revokeKeyAction = atOwnersDesk([id], async ({ data }, tokenId) => {
  await data.revokeToken(tokenId);
  return DONE;
});
