import 'server-only';
import { LRUCache } from 'lru-cache';
import type { PlayData } from './door';
import { log } from './log';
import { countRefused } from './metrics';

/** A device is kept as heard of once in so many milliseconds, so that a ball costs no more. */
const AGAIN_MS = 10 * 60_000;
const lately = new LRUCache<string, true>({ max: 20_000, ttl: AGAIN_MS });

type Post = { sessionId: string; deviceIds: readonly string[]; refused: readonly { eventId: string | null; why: string }[] };

/** Keeps of a post of balls who sent it, and what will never be stored; a failure of this is no failure of the post. */
export async function hear(data: PlayData, academyId: string, { sessionId, deviceIds, refused }: Post): Promise<void> {
  const fresh = [...new Set(deviceIds)].filter((id) => !lately.has(`${academyId} ${id}`));
  countRefused(refused.length);
  try {
    for (const id of fresh) {
      lately.set(`${academyId} ${id}`, true);
      await data.noteDevice(id);
    }
    if (refused.length > 0) await data.noteRefused(sessionId, refused);
  } catch (error) {
    log.error({ err: error }, 'a device could not be noted');
  }
}
