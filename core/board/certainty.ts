/** From here on something is sure, and from here on likely: percent, as it is shown. */
const SURE = 95;
const LIKELY = 75;

export type Certainty = 'sure' | 'likely' | 'too close to call';

/** A probability in percent; of so many draws none is surer than 99, or less sure than 1. */
export function percentOf(chance: number): number {
  return Math.min(99, Math.max(1, Math.round(100 * chance)));
}

/** "97% sure to be among the three weakest"; below what is likely, "39% likely to be": never sure of less. */
export function sayAmongWeakest(chance: number): string {
  return `${percentOf(chance)}% ${certaintyOf(chance) === 'too close to call' ? 'likely' : 'sure'} to be among the three weakest`;
}

/** The word for a probability that something is so rather than not. */
export function certaintyOf(chance: number): Certainty {
  const percent = percentOf(chance);
  return percent >= SURE ? 'sure' : percent >= LIKELY ? 'likely' : 'too close to call';
}
