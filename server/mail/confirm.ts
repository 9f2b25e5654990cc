import 'server-only';
import { randomBytes } from 'node:crypto';
import { addHours } from 'date-fns';
import { changedMail, confirmMail, LINK_HOURS } from '@/core/people/mails';
import { auth } from '../auth';
import { publicUrl } from '../public-url';
import { sendMail, sendMailLater } from './post';

/** The name under which the sign-in library keeps a token: it keeps its hash only. */
const nameOf = (token: string) => `confirm-email:${token}`;

/**
 * Sends somebody a link with which they say that an address is theirs.
 * @param next another address for the account, to which the link goes; without it the one that it has
 */
export async function sendConfirmation(user: { id: string; email: string; name: string }, next?: string): Promise<void> {
  const token = randomBytes(24).toString('base64url');
  const { internalAdapter } = await auth().$context;
  const expiresAt = addHours(new Date(), LINK_HOURS.confirm);
  const value = [user.id, user.email, ...(next === undefined ? [] : [next])].join(' ');
  await internalAdapter.createVerificationValue({ identifier: nameOf(token), value, expiresAt });
  await sendMail(confirmMail({ ...user, email: next ?? user.email }, `${publicUrl()}/confirm#${token}`));
}

/** Takes such a token; false where it holds no more, the account has another address by now, or another account has the new one. */
export async function takeConfirmation(token: string): Promise<boolean> {
  const { internalAdapter } = await auth().$context;
  const kept = await internalAdapter.consumeVerificationValue(nameOf(token));
  if (!kept) return false;
  const [id = '', email, next] = kept.value.split(' ');
  const user = await internalAdapter.findUserById(id);
  if (!user || user.email !== email) return false;
  if (next === undefined) {
    await noteConfirmed(id);
    return true;
  }
  if (await internalAdapter.findUserByEmail(next)) return false;
  await internalAdapter.updateUser(id, { email: next, emailVerified: true });
  // Whoever reads the old address hears of it.
  sendMailLater(changedMail({ email: user.email, name: user.name }, 'address', `${publicUrl()}/account`));
  return true;
}

/** Notes that the address of an account is theirs: an e-mail reached them. */
export async function noteConfirmed(userId: string): Promise<void> {
  await (await auth().$context).internalAdapter.updateUser(userId, { emailVerified: true });
}
