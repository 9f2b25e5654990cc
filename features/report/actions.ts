'use server';

import { randomUUID } from 'node:crypto';
import { addDays } from 'date-fns';
import * as z from 'zod';
import { LINK_DAYS } from '@/core/people/link';
import { wordsSchema } from '@/core/report/report';
import { day } from '@/core/stored';
import { reportOf } from '@/server/known/report';
import { squadReportOf } from '@/server/known/squad-report';
import { publicUrl } from '@/server/public-url';
import { newToken } from '@/server/token';
import { atDesk, DONE, id } from '../form/at-desk';
import { refused } from '../form/result';
import { readReportAsked } from './asked';

const days = z.union(LINK_DAYS.map(([count]) => z.literal(count)));
/** Which report, as its address says it. */
const askedSchema = z.strictObject({
  from: day.optional(),
  to: day.optional(),
  against: z
    .string()
    .regex(/^(squad|-?\d{1,2}(\.\d+)?)$/)
    .optional(),
});

/** Keeps what the coach writes under a report. */
export const saveWordsAction = atDesk([id, wordsSchema], async ({ data }, playerId, words) => {
  await data.saveReportWords(playerId, words);
  return DONE;
});

/** Puts a report, as it is now, behind a link that ends by itself; its address is shown now and never again. */
export const shareReportAction = atDesk([id, askedSchema, days], async (desk, playerId, asked, forDays) => {
  const { data, academy } = desk;
  const found = await data.getPlayer(playerId);
  if (!found) return refused('This player isn’t here any more.');
  const now = new Date();
  const report = await reportOf(desk, found.player, readReportAsked(asked, await data.dayInAcademy()), now);
  const { token, hash } = newToken(academy.academyId);
  await data.keepReport(playerId, { reportId: randomUUID(), report, tokenHash: hash, expiresAt: addDays(now, forDays) });
  return { ...DONE, address: `${publicUrl()}/r#${token}` };
});

/** Puts the squad's report, as it is now, behind such a link. */
export const shareSquadReportAction = atDesk([askedSchema, days], async (desk, asked, forDays) => {
  const { data, academy } = desk;
  const now = new Date();
  const report = await squadReportOf(desk, readReportAsked(asked, await data.dayInAcademy()), now);
  const { token, hash } = newToken(academy.academyId);
  await data.keepReport(null, { reportId: randomUUID(), report, tokenHash: hash, expiresAt: addDays(now, forDays) });
  return { ...DONE, address: `${publicUrl()}/r#${token}` };
});

/** Ends a link to a report at once. */
export const revokeReportAction = atDesk([id], async ({ data }, reportId) => {
  await data.revokeReport(reportId);
  return DONE;
});
