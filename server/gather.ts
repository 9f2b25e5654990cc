import { TooMany, type Turns } from './turns';

/**
 * Does in one go what several ask for while the one before is under way.
 * @param turns lets the rounds of a key run one after another
 * @param together does several at once, with an answer for each in their order
 * @param most so many are done at once
 * @param waiting so many may wait for one key; the next is refused with `TooMany`
 */
export function makeGatherer<Asked, Answer>(
  turns: Turns,
  together: (all: Asked[]) => Promise<Answer[]>,
  { most, waiting }: { most: number; waiting: number },
): (key: string, asked: Asked) => Promise<Answer> {
  type Waiting = { asked: Asked; resolve: (answer: Answer) => void; reject: (why: unknown) => void };
  /** By key, for which a round is asked for. */
  const next = new Map<string, Waiting[]>();

  function askForRound(key: string) {
    turns(key, () => {
      const all = next.get(key)!;
      const round = all.splice(0, most);
      if (all.length > 0) askForRound(key);
      else next.delete(key);
      return run(round);
    }).catch((error: unknown) => {
      for (const { reject } of next.get(key) ?? []) reject(error);
      next.delete(key);
    });
  }

  async function run(round: Waiting[]) {
    try {
      const answers = await together(round.map(({ asked }) => asked));
      round.forEach(({ resolve }, i) => resolve(answers[i]!));
    } catch (error) {
      if (round.length === 1) round[0]!.reject(error);
      // One of them may be what fails: none takes the others with it.
      else for (const one of round) await run([one]);
    }
  }

  return (key, asked) =>
    new Promise((resolve, reject) => {
      const list = next.get(key);
      if (list && list.length >= waiting) return reject(new TooMany('too many wait'));
      const one = { asked, resolve, reject };
      if (list) list.push(one);
      else {
        next.set(key, [one]);
        askForRound(key);
      }
    });
}
