/**
 * The middle of some numbers, or the mean of the two middle ones; Infinity is a number here, for what is only known to
 * be "outside".
 * @throws RangeError of none
 */
export function median(values: readonly number[]): number {
  if (values.length === 0) throw new RangeError('the median of nothing');
  const sorted = values.toSorted((a, b) => a - b);
  const upper = sorted[sorted.length >> 1]!;
  const lower = sorted[(sorted.length - 1) >> 1]!;
  return lower === upper ? upper : (lower + upper) / 2;
}
