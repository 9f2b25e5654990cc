import 'server-only';
import { inDatabase, keyOf, lazily, takes, type MakeLimiter } from './limiter';

/** Says how long whoever guesses has to wait: the longer, the more guesses were wrong. */
export type Delays = {
  /** How many milliseconds somebody still has to wait; 0 where they need not. */
  left(who: string): Promise<number>;
  /** Notes a wrong guess; the same one again is no new guess. */
  wrong(who: string, guess: string): Promise<void>;
  /** Forgets the guesses of somebody who turned out to be right. */
  right(who: string): Promise<void>;
};

const FIRST_MS = 1_000;
/** More wrong guesses than anybody makes: they are counted, never refused. */
const COUNTED = 1_000_000;

/**
 * After so many different wrong guesses each further one costs twice the wait of the one before, up to a most; nobody is ever shut out for
 * longer than that, so that no stranger can shut out somebody else. A device that says the same old thing again and again is no guesser.
 * All instances of the program count together.
 * @param name under which it is counted
 * @param free so many wrong guesses cost nothing
 * @param mostMs the longest wait
 * @param forgetMs so long after the first wrong guess all are forgotten
 */
export function makeDelays(
  name: string,
  { free, mostMs, forgetMs }: { free: number; mostMs: number; forgetMs: number },
  make: MakeLimiter = inDatabase,
): Delays {
  const seconds = forgetMs / 1000;
  const wrongs = lazily(() => make(`${name}_wrong`, COUNTED, seconds));
  const guesses = lazily(() => make(`${name}_guess`, 1, seconds));
  const waits = lazily(() => make(`${name}_wait`, 1, seconds));
  const waitMs = (wrong: number) => (wrong < free ? 0 : Math.min(mostMs, FIRST_MS * 2 ** Math.min(40, wrong - free)));
  return {
    async left(who) {
      return (await waits().get(keyOf(who)))?.msBeforeNext ?? 0;
    },
    async wrong(who, guess) {
      if (!(await takes(guesses(), `${who} ${guess}`, 1))) return;
      const { consumedPoints } = await wrongs().penalty(keyOf(who), 1);
      const ms = waitMs(consumedPoints);
      if (ms > 0) await waits().block(keyOf(who), ms / 1000);
    },
    async right(who) {
      await Promise.all([wrongs(), waits()].map((limiter) => limiter.delete(keyOf(who))));
    },
  };
}
