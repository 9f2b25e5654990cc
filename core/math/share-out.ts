/**
 * Shares a total out in given proportions, whole, each within one of its exact share (largest remainder; of equal
 * remainders the ones farther apart in the list come first, so that a small total still spans it).
 */
export function shareOut(weights: readonly number[], total: number): number[] {
  const sum = weights.reduce((a, b) => a + b, 0);
  const exact = weights.map((weight) => (weight * total) / sum);
  const counts = exact.map(Math.floor);
  const left = total - counts.reduce((a, b) => a + b, 0);
  const remainders = exact.map((share, i) => ({ i, rest: share - counts[i]! })).filter(({ rest }) => rest > 1e-9);
  const ranked = remainders.toSorted((a, b) => b.rest - a.rest || spread(a.i, weights.length) - spread(b.i, weights.length));
  for (const { i } of ranked.slice(0, left)) counts[i]! += 1;
  return counts;
}

/** A rank for a place in a list such that any first few ranks lie far apart: its bits in reverse. */
function spread(i: number, length: number): number {
  const bits = Math.max(1, Math.ceil(Math.log2(length)));
  let reversed = 0;
  for (let bit = 0; bit < bits; bit++) if (i & (1 << bit)) reversed |= 1 << (bits - 1 - bit);
  return reversed;
}
