'use server';

import { randomUUID } from 'node:crypto';
import * as z from 'zod';
import { bornYearSchema, consentSchema, erasureWordsSchema, guardianSchema } from '@/core/people/family';
import { guardianMail } from '@/core/people/mails';
import { lines } from '@/core/stored';
import { dayIn } from '@/core/units/day';
import { tellErasureAsked } from '@/server/mail/erasure';
import { invite } from '@/server/mail/invite';
import { makeQuota } from '@/server/quota';
import { atDesk, atHome, DONE, id } from '../form/at-desk';
import { refused } from '../form/result';

const NOT_HERE = 'This player isn’t here any more.';
const quota = makeQuota('guardians', { most: 300, windowMs: 24 * 3_600_000 });

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
  const came = await invite(academy.academyId, quota, {
    keep: (invitation) => data.keepGuardianInvitation(guardianId, invitation),
    mail: ({ email, player }, by, link) => guardianMail(email, { academy: academy.name, by, player }, link),
    drop: () => data.revokeGuardianInvitation(guardianId),
  });
  if (came === 'nobody') return refused('They’ve accepted already, or have no e-mail address.');
  return came === 'sent' ? DONE : refused(came);
});

/** Takes the invitation of a guardian back. */
export const revokeGuardianInvitationAction = atDesk([id], async ({ data }, guardianId) => {
  await data.revokeGuardianInvitation(guardianId);
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

const why = z.strictObject({ why: lines(500).min(1, 'Enter a reason. They’ll see it.') });
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

export const askErasureAction = atHome([erasureWordsSchema], async ({ data, actor }, playerId, { words }) => {
  if (!(await data.askErasure(playerId, words))) return refused(NOT_HERE);
  await tellErasureAsked(actor.academyId, playerId);
  return DONE;
});

export const cancelErasureAction = atHome([], async ({ data }, playerId) => {
  await data.cancelErasure(playerId);
  return DONE;
});
