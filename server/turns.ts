/** More wait than can be served in good time: whoever asks has to come again. */
export class TooMany extends Error {}

/** Runs a job when it is its key's turn. */
export type Turns = <T>(key: string, job: () => Promise<T>) => Promise<T>;

/**
 * Lets jobs of one key run one after another, and only so many keys at once. Keys take turns: one with many jobs holds no other up.
 * @param most so many jobs run at once
 * @param waiting so many may wait; the next is refused with `TooMany`
 */
export function makeTurns({ most, waiting }: { most: number; waiting: number }): Turns {
  const queues = new Map<string, (() => Promise<void>)[]>();
  /** Keys with a job that waits and none that runs. */
  const ready: string[] = [];
  let running = 0;
  let queued = 0;

  function next() {
    while (running < most && ready.length > 0) {
      const key = ready.shift()!;
      const job = queues.get(key)!.shift()!;
      running++;
      queued--;
      void job().finally(() => {
        running--;
        if (queues.get(key)!.length > 0) ready.push(key);
        else queues.delete(key);
        next();
      });
    }
  }

  return (key, job) =>
    new Promise((resolve, reject) => {
      if (queued >= waiting) return reject(new TooMany('too many wait'));
      const queue = queues.get(key);
      const run = () => job().then(resolve, reject);
      if (queue) queue.push(run);
      else {
        queues.set(key, [run]);
        ready.push(key);
      }
      queued++;
      next();
    });
}
