/** An address within this program, or its front page: nobody is sent elsewhere after signing in. */
export function ownAddress(next: string | string[] | undefined): string {
  const address = typeof next === 'string' ? next : '/';
  return /^\/(?![/\\])[^\\\s]*$/.test(address) ? address : '/';
}

/** Where invitations are taken: whoever signs in or up on the way there comes back. */
export const INVITATION = '/join';

/** A page on the way in, with the way back to an invitation where that is where one wanted to go. */
export const withInvitation = (page: '/sign-in' | '/sign-up', next: string): string =>
  next === INVITATION ? `${page}?next=${INVITATION}` : page;
