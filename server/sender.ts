/** The header in which the front (scripts/serve.mjs) says who sends; what a sender writes there never gets so far. */
export const SENDER = 'x-inch-sender';

/** Who sent a request: the address of a machine or of its network. */
export function senderOf(headers: Headers): string {
  return headers.get(SENDER) ?? 'direct';
}
