/** Counts guesses by who makes them, and says when there were too many. */
export type Limiter = {
  /** Whether somebody has to wait at a moment, in milliseconds. */
  blocked(who: string, atMs: number): boolean;
  /** Notes a wrong guess; the same one again is no new guess. */
  wrong(who: string, guess: string, atMs: number): void;
};

/**
 * At most so many different wrong guesses of one sender within a window. A device that says the same old thing again and
 * again is no guesser. It lives in one instance of the program: two instances allow twice as many.
 * @param keep the most senders that are remembered; who was heard of longest ago is forgotten first
 */
export function makeLimiter({ most, windowMs, keep = 10_000 }: { most: number; windowMs: number; keep?: number }): Limiter {
  /** By sender, when each guess was last made. */
  const guesses = new Map<string, Map<string, number>>();
  const recent = (who: string, atMs: number) => [...(guesses.get(who) ?? [])].filter(([, at]) => at > atMs - windowMs);
  return {
    blocked: (who, atMs) => recent(who, atMs).length >= most,
    wrong(who, guess, atMs) {
      const made = new Map(recent(who, atMs));
      if (made.has(guess) || made.size < most) made.set(guess, atMs);
      guesses.delete(who);
      guesses.set(who, made);
      if (guesses.size > keep) guesses.delete(guesses.keys().next().value!);
    },
  };
}
