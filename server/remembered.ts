import 'server-only';
import { LRUCache } from 'lru-cache';
import { hearDoors } from './live';

/**
 * Who was let in, remembered for a minute, so that a ball every few seconds does not ask for the same again. Whatever ends a right (a
 * sign-out, a new password, a revoked link, somebody or something deleted) is told to every instance of the program, which forgets all at
 * once; while nothing can be told, nothing is remembered.
 */
const MINUTE_MS = 60_000;
const held = new LRUCache<string, object>({ max: 10_000, ttl: MINUTE_MS });
const doors = hearDoors(() => held.clear());

/** What was found for a key; else asks, and remembers what is found, but not that nothing is. */
export async function remembered<T extends object, No extends string>(key: string, ask: () => Promise<T | No>): Promise<T | No> {
  const known = doors.works() ? held.get(key) : undefined;
  if (known) return known as T;
  const since = doors.ended();
  const found = await ask();
  // What ended while it was asked for is not remembered.
  if (typeof found !== 'string' && doors.works() && doors.ended() === since) held.set(key, found);
  return found;
}
