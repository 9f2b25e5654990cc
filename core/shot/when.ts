import type { Shot, ShotEvent } from './shot';

/** What a phone's clock may be off without being set right, in milliseconds: a message is that long on its way. */
const ON_ITS_WAY_MS = 60_000;

/**
 * When a ball was played, as far as that can be: a phone's clock may be years off, but no ball is played before its session was
 * opened, nor after its record came in. A clock that was seen to be off is set right first.
 * @param said by the phone, a moment; it is kept with the event
 * @param behindMs by how much the phone's clock was behind when the record was sent; 0 where nobody knows
 * @returns what was said, set right, or the nearest moment that is possible
 */
export function possibleMoment(
  said: string,
  { openedAt, receivedAt, behindMs = 0 }: { openedAt: Date; receivedAt: Date; behindMs?: number },
): Date {
  const [first, last] = [openedAt.getTime(), receivedAt.getTime()];
  const right = Date.parse(said) + (Math.abs(behindMs) > ON_ITS_WAY_MS ? behindMs : 0);
  return new Date(Math.min(last, Math.max(Math.min(first, last), right)));
}

/**
 * By how much a phone's clock is behind.
 * @param sentAt what it said when it sent something; null or undefined where it did not say
 * @returns milliseconds; null where it did not say
 */
export function behindMs(sentAt: string | null | undefined, arrivedAt: Date): number | null {
  return sentAt ? arrivedAt.getTime() - Date.parse(sentAt) : null;
}

/** What a phone's clock may be off without anybody being told, in milliseconds. */
const UNREMARKED_MS = 10 * 60_000;

/**
 * How many balls of a session were said to be played when they can't have been, and by how much the worst is off: of a phone whose clock
 * is wrong.
 * @param events everything that was said about its balls
 * @param shots its balls, as they are counted
 * @returns null where clocks are about right
 */
export function wrongClock(events: readonly ShotEvent[], shots: readonly Shot[]): { balls: number; offMs: number } | null {
  const played = new Map(shots.map(({ shotId, playedAt }) => [shotId, Date.parse(playedAt)]));
  const off = events.flatMap((event) => {
    const when = played.get(event.shotId);
    if (event.kind !== 'record' || when === undefined) return [];
    const offMs = Math.abs(Date.parse(event.payload.playedAt) - when);
    return offMs > UNREMARKED_MS ? [offMs] : [];
  });
  return off.length === 0 ? null : { balls: off.length, offMs: Math.max(...off) };
}
