import type { Shot, ShotEvent } from './shot';

/**
 * When a ball was played, as far as that can be: a phone's clock may be years off, but no ball is played before its session was
 * opened, nor after its record came in.
 * @param said by the phone, a moment; it is kept with the event
 * @returns what was said, or the nearest moment that is possible
 */
export function possibleMoment(said: string, { openedAt, receivedAt }: { openedAt: Date; receivedAt: Date }): Date {
  const [first, last] = [openedAt.getTime(), receivedAt.getTime()];
  return new Date(Math.min(last, Math.max(Math.min(first, last), Date.parse(said))));
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
