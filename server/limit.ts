/** Counts what goes wrong by whom, and says when it was too often. */
export type Limiter = {
  /** Whether somebody has to wait at a moment, in milliseconds. */
  blocked(who: string, atMs: number): boolean;
  /** Notes a failure. */
  fail(who: string, atMs: number): void;
};

/**
 * At most so many failures of one sender within a window; what succeeds is not counted. It lives in one instance of the
 * program: two instances allow twice as many.
 * @param keep the most senders that are remembered; the longest known is forgotten first
 */
export function makeLimiter({ most, windowMs, keep = 10_000 }: { most: number; windowMs: number; keep?: number }): Limiter {
  const failures = new Map<string, number[]>();
  const recent = (who: string, atMs: number) => (failures.get(who) ?? []).filter((at) => at > atMs - windowMs);
  return {
    blocked: (who, atMs) => recent(who, atMs).length >= most,
    fail(who, atMs) {
      const times = [...recent(who, atMs), atMs].slice(-most);
      failures.delete(who);
      failures.set(who, times);
      if (failures.size > keep) failures.delete(failures.keys().next().value!);
    },
  };
}
