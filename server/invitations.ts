import 'server-only';
import { invitationByToken, takeInvitation } from '@/db/queries/invitations';
import { auth } from './auth';
import { database } from './db';
import { withToken } from './door';
import { bearerOf, readToken } from './token';

/** The invitation that a request carries, and the address of whoever is signed in; null: nobody is. */
export async function invitationOf(headers: Headers) {
  const found = await withToken(headers, (academyId, hash) => invitationByToken(database(), academyId, hash, new Date()));
  if (typeof found === 'string') return found;
  const user = (await auth().api.getSession({ headers }))?.user;
  return { ...found, signedInAs: user?.email ?? null };
}

/**
 * Takes that invitation for whoever is signed in, if it went to their address: that it reached them confirms it.
 * @returns the address of the academy; null where it does not hold for them
 */
export async function takeInvitationOf(headers: Headers): Promise<string | null> {
  const user = (await auth().api.getSession({ headers }))?.user;
  const read = readToken(bearerOf(headers) ?? '');
  const slug = user && read ? await takeInvitation(database(), read.academyId, read.hash, user, new Date()) : null;
  if (slug !== null && !user!.emailVerified) await (await auth().$context).internalAdapter.updateUser(user!.id, { emailVerified: true });
  return slug;
}
