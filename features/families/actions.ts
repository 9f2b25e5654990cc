'use server';

import { randomUUID } from 'node:crypto';
import { addDays } from 'date-fns';
import * as z from 'zod';
import { bornYearSchema, consentSchema, erasureWordsSchema, guardianSchema } from '@/core/people/family';
import { INVITATION_DAYS } from '@/core/people/invitation';
import { guardianMail } from '@/core/people/mails';
import { lines } from '@/core/stored';
import { dayIn } from '@/core/units/day';
import { signedIn } from '@/server/actor';
import { log } from '@/server/log';
import { sendMail } from '@/server/mail/post';
import { publicUrl } from '@/server/public-url';
import { makeQuota } from '@/server/quota';
import { newToken } from '@/server/token';
import { atDesk, atHome, DONE, id } from '../form/at-desk';
import { refused } from '../form/result';

const NOT_HERE = 'This player isn’t here any more.';
const asked = makeQuota('guardians', { most: 300, windowMs: 24 * 3_600_000 });

const bornYear = z.lazy(() => z.strictObject({ bornYear: bornYearSchema(new Date().getUTCFullYear()) }));
export const saveBornYearAction = atDesk([id, bornYear], async ({ data }, playerId, form) => {
  await data.saveBornYear(playerId, form.bornYear);
  return DONE;
});

export const saveGuardianAction = atDesk([id, id, guardianSchema], async ({ data }, playerId, guardianId, form) =>
  (await data.saveGuardian(playerId, guardianId, form)) ? DONE : refused(NOT_HERE),
);

/** Takes a guardian away; what they could see they see no more at once. */
export const removeGuardianAction = atDesk([id], async ({ data }, guardianId) => {
  await data.removeGuardian(guardianId);
  return DONE;
});

/** Asks a guardian by e-mail to read about their player; asked again, only the last e-mail holds. */
export const inviteGuardianAction = atDesk([id], async ({ data, academy }, guardianId) => {
  const user = await signedIn();
  if (!user?.emailVerified) return refused('Confirm your own e-mail address first: see your account.');
  if (!(await asked(academy.academyId, 1))) return refused('That’s enough invitations for one day. Send more tomorrow.');
  const { token, hash } = newToken(academy.academyId);
  const invitationId = randomUUID();
  const expiresAt = addDays(new Date(), INVITATION_DAYS);
  const to = await data.keepGuardianInvitation(guardianId, { invitationId, tokenHash: hash, expiresAt });
  if (!to) return refused('They’ve accepted already, or have no e-mail address.');
  try {
    await sendMail(guardianMail(to.email, { academy: academy.name, by: user.name, player: to.player }, `${publicUrl()}/join#${token}`));
  } catch (error) {
    log.error({ err: error }, 'an e-mail could not be sent');
    return refused('The e-mail couldn’t be sent. Try again later.');
  }
  return DONE;
});

/** Keeps a consent that a coach was given. */
export const recordConsentAction = atDesk([id, consentSchema], async ({ data, academy }, playerId, form) => {
  if (form.on > dayIn(new Date(), academy.timeZone)) return { ok: false as const, fields: { on: 'That day is still to come.' } };
  await data.giveConsent(playerId, randomUUID(), form);
  return DONE;
});

export const withdrawConsentAction = atDesk([id], async ({ data }, playerId) => {
  await data.withdrawConsent(playerId);
  return DONE;
});

const why = z.strictObject({ why: lines(500).min(1, 'Say why: they will read it.') });
export const declineErasureAction = atDesk([id, why], async ({ data }, playerId, form) => {
  await data.declineErasure(playerId, form.why);
  return DONE;
});

/** A guardian's own consent, as of today. */
export const giveConsentAction = atHome([], async ({ data, academy, userName }, playerId) => {
  await data.giveConsent(playerId, randomUUID(), { by: userName, on: dayIn(new Date(), academy.timeZone) });
  return DONE;
});

export const takeConsentBackAction = atHome([], async ({ data }, playerId) => {
  await data.withdrawConsent(playerId);
  return DONE;
});

export const askErasureAction = atHome([erasureWordsSchema], async ({ data }, playerId, { words }) =>
  (await data.askErasure(playerId, words)) ? DONE : refused(NOT_HERE),
);

export const cancelErasureAction = atHome([], async ({ data }, playerId) => {
  await data.cancelErasure(playerId);
  return DONE;
});
