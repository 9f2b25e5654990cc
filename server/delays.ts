/** Says how long whoever guesses has to wait: the longer, the more guesses were wrong. */
export type Delays = {
  /** How many milliseconds somebody still has to wait at a moment; 0 where they need not. */
  left(who: string, atMs: number): number;
  /** Notes a wrong guess; the same one again is no new guess. */
  wrong(who: string, guess: string, atMs: number): void;
  /** Forgets the guesses of somebody who turned out to be right. */
  right(who: string): void;
};

const FIRST_MS = 1_000;

/**
 * After so many different wrong guesses each further one costs twice the wait of the one before, up to a most; nobody is ever shut out for
 * longer than that, so that no stranger can shut out somebody else. Who has not guessed for a while begins anew. A device that says the same
 * old thing again and again is no guesser. It lives in one instance of the program: two instances allow twice as many.
 * @param free so many wrong guesses cost nothing
 * @param mostMs the longest wait
 * @param forgetMs after so long without a wrong guess all are forgotten
 * @param keep the most guessers that are remembered; who guessed longest ago is forgotten first
 */
export function makeDelays({
  free,
  mostMs,
  forgetMs,
  keep = 10_000,
}: {
  free: number;
  mostMs: number;
  forgetMs: number;
  keep?: number;
}): Delays {
  const guessers = new Map<string, { wrong: number; lastMs: number; guesses: Set<string> }>();
  const of = (who: string, atMs: number) => {
    const held = guessers.get(who);
    return held && atMs - held.lastMs < forgetMs ? held : undefined;
  };
  const waitMs = (wrong: number) => (wrong < free ? 0 : Math.min(mostMs, FIRST_MS * 2 ** Math.min(40, wrong - free)));
  return {
    left(who, atMs) {
      const held = of(who, atMs);
      return held ? Math.max(0, held.lastMs + waitMs(held.wrong) - atMs) : 0;
    },
    wrong(who, guess, atMs) {
      const held = of(who, atMs) ?? { wrong: 0, lastMs: atMs, guesses: new Set<string>() };
      if (held.guesses.has(guess)) return;
      held.wrong++;
      held.lastMs = atMs;
      // Of very many guesses it is enough to know some: the others count anew.
      if (held.guesses.size < 200) held.guesses.add(guess);
      guessers.delete(who);
      guessers.set(who, held);
      if (guessers.size > keep) guessers.delete(guessers.keys().next().value!);
    },
    right: (who) => void guessers.delete(who),
  };
}
