import 'server-only';
import { randomBytes } from 'node:crypto';
import { addHours } from 'date-fns';
import { confirmMail, LINK_HOURS } from '@/core/people/mails';
import { auth } from '../auth';
import { publicUrl } from '../public-url';
import { sendMail } from './post';

/** The name under which the sign-in library keeps a token: it keeps its hash only. */
const nameOf = (token: string) => `confirm-email:${token}`;

/** Sends somebody a link with which they say that an address is theirs. */
export async function sendConfirmation(user: { id: string; email: string; name: string }): Promise<void> {
  const token = randomBytes(24).toString('base64url');
  const { internalAdapter } = await auth().$context;
  const expiresAt = addHours(new Date(), LINK_HOURS.confirm);
  await internalAdapter.createVerificationValue({ identifier: nameOf(token), value: `${user.id} ${user.email}`, expiresAt });
  await sendMail(confirmMail(user, `${publicUrl()}/confirm#${token}`));
}

/** Takes such a token; false where it holds no more, or the account has another address by now. */
export async function takeConfirmation(token: string): Promise<boolean> {
  const { internalAdapter } = await auth().$context;
  const kept = await internalAdapter.consumeVerificationValue(nameOf(token));
  if (!kept) return false;
  const [id = '', email] = kept.value.split(' ');
  const user = await internalAdapter.findUserById(id);
  if (!user || user.email !== email) return false;
  await noteConfirmed(id);
  return true;
}

/** Notes that the address of an account is theirs: an e-mail reached them. */
export async function noteConfirmed(userId: string): Promise<void> {
  await (await auth().$context).internalAdapter.updateUser(userId, { emailVerified: true });
}
