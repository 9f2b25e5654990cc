/** Takes so much of somebody's share; false, and nothing is taken, where it is used up. */
export type Quota = (who: string, count: number, atMs: number) => boolean;

/**
 * So much for each within a window, which begins with the first that is taken. It lives in one instance of the program.
 * @param keep the most holders that are remembered; whose window began longest ago is forgotten first
 */
export function makeQuota({ most, windowMs, keep = 10_000 }: { most: number; windowMs: number; keep?: number }): Quota {
  const taken = new Map<string, { sinceMs: number; count: number }>();
  return (who, count, atMs) => {
    const held = taken.get(who);
    const now = held && atMs - held.sinceMs < windowMs ? held : { sinceMs: atMs, count: 0 };
    if (now.count + count > most) return false;
    now.count += count;
    if (now !== held) {
      taken.delete(who);
      taken.set(who, now);
      if (taken.size > keep) taken.delete(taken.keys().next().value!);
    }
    return true;
  };
}
