'use server';

import * as z from 'zod';
import { INVITED_ROLES, invitationSchema } from '@/core/people/invitation';
import { groupSchema } from '@/core/people/group';
import { invitationMail } from '@/core/people/mails';
import { invite } from '@/server/mail/invite';
import { makeQuota } from '@/server/quota';
import { atDesk, atOwnersDesk, DONE, id } from '../form/at-desk';
import { refused } from '../form/result';

/** An account, as its list names it. */
const account = z.string().min(1).max(100);
const quota = makeQuota('invitations', { most: 50, windowMs: 24 * 3_600_000 });

/** Asks somebody by e-mail to work in the academy; asked again, only the last e-mail holds. */
export const inviteAction = atOwnersDesk([invitationSchema], async ({ data, academy }, invited) => {
  const came = await invite(academy.academyId, quota, {
    keep: async (invitation) => ((await data.keepInvitation({ ...invitation, ...invited })) ? invited : null),
    mail: ({ email, role }, by, link) => invitationMail(email, { academy: academy.name, by, role }, link),
    drop: (invitationId) => data.revokeInvitation(invitationId),
  });
  if (came === 'nobody') return { ok: false as const, fields: { email: 'Somebody with this address is here already.' } };
  return came === 'sent' ? DONE : refused(came);
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
