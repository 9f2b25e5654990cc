import 'server-only';
import { gauge } from '@/server/metrics';
import { makeQuota } from '@/server/quota';
import type { Door } from '@/server/door';

const HOUR_MS = 3_600_000;
/** What a personal link may do: far more than anybody plays, and too little to be a burden to the others. */
export const BALLS_AN_HOUR = 600;
export const SESSIONS_A_DAY = 20;
const STREAMS = { link: 6, coach: 100 };

const balls = makeQuota('balls', { most: BALLS_AN_HOUR, windowMs: HOUR_MS });
const sessions = makeQuota('sessions', { most: SESSIONS_A_DAY, windowMs: 24 * HOUR_MS });
const streams = new Map<string, number>();

/** Whether so many balls more can be taken from whoever asks; a coach has no limit. */
export async function mayRecord({ academyId, only }: Door, count: number): Promise<boolean> {
  return only === null || balls(`${academyId} ${only}`, count);
}

/** Whether the player of a link may start another session. */
export function mayStart(academyId: string, playerId: string): Promise<boolean> {
  return sessions(`${academyId} ${playerId}`, 1);
}

/**
 * Counts a live stream in.
 * @returns how to count it out again; null where there are too many already
 */
export function openStream({ academyId, only }: Door): (() => void) | null {
  const key = `${academyId} ${only ?? 'coach'}`;
  const open = streams.get(key) ?? 0;
  if (open >= (only === null ? STREAMS.coach : STREAMS.link)) return null;
  streams.set(key, open + 1);
  gauge('streams_open', () => [...streams.values()].reduce((sum, one) => sum + one, 0));
  let over = false;
  return () => {
    if (over) return;
    over = true;
    const left = streams.get(key)! - 1;
    if (left > 0) streams.set(key, left);
    else streams.delete(key);
  };
}
