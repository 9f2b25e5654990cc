import { sessionOf } from '@/core/exchange/play-address';

/**
 * A phone on which play was never opened has nothing yet: what its session, or its personal link, is made of is asked for while the scripts of play
 * still come, by a script of a few lines (`shell/ahead.ts`). Play takes that answer instead of asking again.
 */
type Asked = { what: string; answer: Promise<Response | null> };

declare global {
  var askedAhead: Asked | undefined;
}

/** The store of play on a device; there is none before play is opened on it. */
export const DEVICE_DB = 'inch-device';

const whatOf = (address: string, authorization: string | undefined) => `${address} ${authorization ?? ''}`;

/** The address of what a session is made of, and what was said about its balls after so much. */
export const bundleAddress = (sessionId: string, after: number): string => `/api/v1/sessions/${sessionId}/bundle?after=${after}`;
export const LINK_ADDRESS = '/api/v1/link';

/** Asks for what the page at this address will ask for first. */
export function askAhead({ pathname, hash }: Pick<Location, 'pathname' | 'hash'>): void {
  const named = hash.slice(1);
  const token = pathname === '/j' ? named : '';
  const sessionId = sessionOf(named);
  const address = token ? LINK_ADDRESS : sessionId && bundleAddress(sessionId, 0);
  if (!address) return;
  const authorization = token ? `Bearer ${token}` : undefined;
  const answer = fetch(address, authorization ? { headers: { authorization } } : {}).catch(() => null);
  globalThis.askedAhead = { what: whatOf(address, authorization), answer };
}

/** What was asked before something was sent may hold no longer. */
export function dropAhead(): void {
  globalThis.askedAhead = undefined;
}

/** The answer to exactly this, where it was asked for ahead; given once. */
export function takeAhead(address: string, authorization: string | undefined): Promise<Response | null> | null {
  const asked = globalThis.askedAhead;
  if (asked?.what !== whatOf(address, authorization)) return null;
  dropAhead();
  return asked.answer;
}
