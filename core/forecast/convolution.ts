/**
 * A distribution over whole steps: `p[i]` is the chance of `from + i`.
 */
export type Distribution = { from: number; p: Float64Array };

/** What one ball may add to a score, in whole steps, each with its chance. */
export function ofOutcomes(outcomes: readonly { value: number; p: number }[]): Distribution {
  const values = outcomes.map(({ value }) => value);
  if (values.some((value) => !Number.isInteger(value))) throw new RangeError('an outcome is a whole number of steps');
  const from = Math.min(...values);
  const p = new Float64Array(Math.max(...values) - from + 1);
  for (const outcome of outcomes) p[outcome.value - from]! += outcome.p;
  return { from, p };
}

/** The distribution of a sum of two that know nothing of each other: exact, but for rounding. */
export function convolve(a: Distribution, b: Distribution): Distribution {
  const p = new Float64Array(a.p.length + b.p.length - 1);
  for (let i = 0; i < a.p.length; i++) {
    const one = a.p[i]!;
    if (one !== 0) for (let j = 0; j < b.p.length; j++) p[i + j]! += one * b.p[j]!;
  }
  return { from: a.from + b.from, p };
}

/** The distribution of `n` balls of one kind, by squaring. */
export function repeated(one: Distribution, n: number): Distribution {
  let sum: Distribution = { from: 0, p: Float64Array.of(1) };
  let power = one;
  for (let left = n; left > 0; left >>= 1) {
    if (left & 1) sum = convolve(sum, power);
    if (left > 1) power = convolve(power, power);
  }
  return sum;
}

export const massOf = ({ p }: Distribution) => p.reduce((sum, one) => sum + one, 0);
export const meanOf = ({ from, p }: Distribution) => p.reduce((sum, one, i) => sum + one * (from + i), 0);
