/** An address within this program, or its front page: nobody is sent elsewhere after signing in. */
export function ownAddress(next: string | string[] | undefined): string {
  const address = typeof next === 'string' ? next : '/';
  return /^\/(?![/\\])[^\\\s]*$/.test(address) ? address : '/';
}
