import { AS_ROLE, INVITATION_DAYS, ROLE_WORDS, type InvitedRole } from './invitation';

/** An e-mail: plain text, each paragraph a line of its own. */
export type Mail = { to: string; subject: string; text: string };

const mail = (to: string, subject: string, paragraphs: readonly string[]): Mail => ({
  to,
  subject,
  text: `${paragraphs.join('\n\n')}\n`,
});

type To = { email: string; name: string };

/** How long the link of each mail holds, in hours. */
export const LINK_HOURS = { confirm: 24, reset: 1 } as const;

/** Asks somebody who made an account to say that the address is theirs. @param link holds once */
export function confirmMail({ email, name }: To, link: string): Mail {
  return mail(email, 'Confirm your e-mail address', [
    `Hello ${name},`,
    'Open this link to confirm your e-mail address:',
    link,
    `It works once, for ${LINK_HOURS.confirm} hours. If you didn’t make an account with Inch Game, ignore this.`,
  ]);
}

/** Lets somebody who forgot their password choose another. @param link holds once */
export function resetMail({ email, name }: To, link: string): Mail {
  return mail(email, 'Choose a new password', [
    `Hello ${name},`,
    'Open this link to choose a new password:',
    link,
    'It works once, for an hour. If you didn’t ask for it, ignore this: your password stays as it is.',
  ]);
}

/** Asks somebody to work in an academy. @param link holds once */
export function invitationMail(
  email: string,
  { academy, by, role }: { academy: string; by: string; role: InvitedRole },
  link: string,
): Mail {
  return mail(email, `${by} invites you to ${academy}`, [
    'Hello,',
    `${by} asks you to join ${academy} as ${AS_ROLE[role]}: ${ROLE_WORDS[role]}.`,
    'Open this link to join:',
    link,
    `It works once, for ${INVITATION_DAYS} days. If you don’t know ${by}, ignore this.`,
  ]);
}

/** Asks a guardian to read about a player. @param link holds once */
export function guardianMail(email: string, { academy, by, player }: { academy: string; by: string; player: string }, link: string): Mail {
  return mail(email, `${by} invites you to follow ${player}’s golf`, [
    'Hello,',
    `${by} coaches ${player} at ${academy}. With an account you can see ${player}’s results and reports, give your consent, download everything recorded about ${player}, or ask for it to be erased.`,
    'Open this link to accept:',
    link,
    `It works once, for ${INVITATION_DAYS} days. If you don’t know ${by}, ignore this.`,
  ]);
}

/** Tells the owner that somebody asked to have a player erased. @param link where it is answered */
export function erasureMail({ email, name }: To, { player, academy }: { player: string; academy: string }, link: string): Mail {
  return mail(email, `Somebody asked to erase ${player}`, [
    `Hello ${name},`,
    `The player or a guardian asked ${academy} to erase everything about ${player}. Nothing is erased until a coach does it.`,
    'Read the request and answer it here:',
    link,
  ]);
}

/** What somebody is told of their account, in case it was not they who changed it. */
export type AccountChange = 'password' | 'address' | 'codes on' | 'codes off' | 'passkey added' | 'passkey removed';

/** Tells somebody that the way in to their account was changed, so that they hear of it if it was not them. */
export function changedMail({ email, name }: To, what: AccountChange, link: string): Mail {
  const said = {
    password: 'Your password was changed.',
    address: 'The e-mail address of your account was changed.',
    'codes on': 'Two-step sign-in was turned on for your account.',
    'codes off': 'Two-step sign-in was turned off for your account.',
    'passkey added': 'A passkey was added to your account.',
    'passkey removed': 'A passkey was removed from your account.',
  }[what];
  return mail(email, said.slice(0, -1), [
    `Hello ${name},`,
    said,
    what === 'address'
      ? 'You sign in with the new address from now on. If that wasn’t you, tell whoever runs your academy.'
      : `If that wasn’t you, choose a new password now, and end the sign-ins you don’t know: ${link}`,
  ]);
}
