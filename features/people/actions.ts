'use server';

import { randomUUID } from 'node:crypto';
import { addDays } from 'date-fns';
import * as z from 'zod';
import { INVITATION_DAYS, INVITED_ROLES, invitationSchema } from '@/core/people/invitation';
import { groupSchema } from '@/core/people/group';
import { invitationMail } from '@/core/people/mails';
import { signedIn } from '@/server/actor';
import { publicUrl } from '@/server/public-url';
import { log } from '@/server/log';
import { sendMail } from '@/server/mail/post';
import { makeQuota } from '@/server/quota';
import { newToken } from '@/server/token';
import { atDesk, atOwnersDesk, DONE, id } from '../form/at-desk';
import { refused } from '../form/result';

/** An account, as its list names it. */
const account = z.string().min(1).max(100);
const asked = makeQuota('invitations', { most: 50, windowMs: 24 * 3_600_000 });

/** Asks somebody by e-mail to work in the academy; asked again, only the last e-mail holds. */
export const inviteAction = atOwnersDesk([invitationSchema], async ({ data, academy }, invited) => {
  const user = await signedIn();
  if (!user?.emailVerified) return refused('Confirm your own e-mail address first: see your account.');
  if (!(await asked(academy.academyId, 1))) return refused('That’s enough invitations for one day. Send more tomorrow.');
  const { token, hash } = newToken(academy.academyId);
  const invitationId = randomUUID();
  const expiresAt = addDays(new Date(), INVITATION_DAYS);
  if (!(await data.keepInvitation({ invitationId, ...invited, tokenHash: hash, expiresAt })))
    return { ok: false as const, fields: { email: 'Somebody with this address is here already.' } };
  const mail = invitationMail(invited.email, { academy: academy.name, by: user.name, role: invited.role }, `${publicUrl()}/join#${token}`);
  try {
    await sendMail(mail);
  } catch (error) {
    log.error({ err: error }, 'an e-mail could not be sent');
    await data.revokeInvitation(invitationId);
    return refused('The e-mail couldn’t be sent, so the invitation was cancelled. Try again later.');
  }
  return DONE;
});

export const revokeInvitationAction = atOwnersDesk([id], async ({ data }, invitationId) => {
  await data.revokeInvitation(invitationId);
  return DONE;
});

export const saveRoleAction = atOwnersDesk([account, z.enum(INVITED_ROLES)], async ({ data }, userId, role) => {
  await data.saveRole(userId, role);
  return DONE;
});

/** Ends somebody's work here at once. */
export const removeMemberAction = atOwnersDesk([account], async ({ data }, userId) => {
  await data.removeMember(userId);
  return DONE;
});

/** Makes a coach the owner, where the academy's name was typed to say so. */
export const handOverAction = atOwnersDesk([account, z.string().max(200)], async ({ data, academy }, userId, typed) => {
  if (typed.trim().normalize('NFC') !== academy.name.normalize('NFC')) return refused('That’s not the name.');
  return (await data.handOver(userId)) ? DONE : refused('They’re no longer a coach here.');
});

export const saveGroupAction = atDesk([id, groupSchema], async ({ data }, groupId, group) => {
  await data.saveGroup(groupId, group);
  return DONE;
});

export const removeGroupAction = atDesk([id], async ({ data }, groupId) => {
  await data.removeGroup(groupId);
  return DONE;
});
