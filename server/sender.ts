import { SENDER } from './front/front.mjs';

/** Who sent a request: the address of a machine or of its network, as the front says; what a sender writes there never gets so far. */
export function senderOf(headers: Headers): string {
  return headers.get(SENDER) ?? 'direct';
}
