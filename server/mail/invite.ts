import 'server-only';
import { randomUUID } from 'node:crypto';
import { addDays } from 'date-fns';
import { INVITATION_DAYS } from '@/core/people/invitation';
import type { Mail } from '@/core/people/mails';
import { signedIn } from '../actor';
import { log } from '../log';
import { publicUrl } from '../public-url';
import type { Quota } from '../quota';
import { newToken } from '../token';
import { sendMail } from './post';

/** What an invitation is kept by: the hash of the token that goes out, for a week. */
export type Invitation = { invitationId: string; tokenHash: Buffer; expiresAt: Date };

/**
 * Asks somebody by e-mail, with a link that holds once. It is kept before it is sent, and kept no longer where it could not be.
 * @param academyId in which the link is looked up
 * @param quota how many an academy may send
 * @param keep null where nobody is to be asked
 * @param drop of one that was kept and not sent
 * @returns what came of it, which whoever asked is told
 */
export async function invite<Kept>(
  academyId: string,
  quota: Quota,
  {
    keep,
    mail,
    drop,
  }: {
    keep: (invitation: Invitation) => Promise<Kept | null>;
    mail: (kept: Kept, by: string, link: string) => Mail;
    drop: (invitationId: string) => Promise<unknown>;
  },
): Promise<'sent' | 'nobody' | Refusal> {
  const user = await signedIn();
  if (!user?.emailVerified) return 'Confirm your own e-mail address first: see your account.';
  if (!(await quota(academyId, 1))) return 'That’s enough invitations for one day. Send more tomorrow.';
  const { token, hash: tokenHash } = newToken(academyId);
  const invitationId = randomUUID();
  const kept = await keep({ invitationId, tokenHash, expiresAt: addDays(new Date(), INVITATION_DAYS) });
  if (kept === null) return 'nobody';
  try {
    await sendMail(mail(kept, user.name, `${publicUrl()}/join#${token}`));
  } catch (error) {
    log.error({ err: error }, 'an e-mail could not be sent');
    await drop(invitationId);
    return 'The e-mail couldn’t be sent, so the invitation was cancelled. Try again later.';
  }
  return 'sent';
}

type Refusal =
  | 'Confirm your own e-mail address first: see your account.'
  | 'That’s enough invitations for one day. Send more tomorrow.'
  | 'The e-mail couldn’t be sent, so the invitation was cancelled. Try again later.';
