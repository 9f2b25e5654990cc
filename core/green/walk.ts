import { distance, type Point } from '../geometry/point';

/** Up to so many places the shortest walk is found exactly. */
const EXACT = 9;

/** Metres of a walk through places in a given order. */
export function walkLength(places: readonly Point[], order: readonly number[]): number {
  let metres = 0;
  for (let i = 1; i < order.length; i++) metres += distance(places[order[i - 1]!]!, places[order[i]!]!);
  return metres;
}

/**
 * A short walk through all places, from whichever end is left of (then below) the other.
 * Exact up to nine places (dynamic programming over subsets; Held and Karp, J. SIAM 10, 1962); beyond, the nearest
 * neighbour from each place in turn, improved by turning stretches round (Croes, Oper. Res. 6, 1958) and by moving
 * short stretches elsewhere.
 * @returns the indices of the places in the order of the walk
 */
export function walkingOrder(places: readonly Point[]): number[] {
  if (places.length < 3)
    return oriented(
      places,
      places.map((_, i) => i),
    );
  return oriented(places, places.length <= EXACT ? exact(places) : improved(places));
}

function oriented(places: readonly Point[], order: number[]): number[] {
  const [a, b] = [places[order[0] ?? 0], places[order.at(-1) ?? 0]];
  if (!a || !b) return order;
  return a[0] < b[0] || (a[0] === b[0] && a[1] <= b[1]) ? order : order.toReversed();
}

function exact(places: readonly Point[]): number[] {
  const n = places.length;
  const full = (1 << n) - 1;
  const cost = new Float64Array((full + 1) * n).fill(Infinity);
  const from = new Int8Array((full + 1) * n).fill(-1);
  for (let i = 0; i < n; i++) cost[(1 << i) * n + i] = 0;
  for (let set = 1; set <= full; set++)
    for (let last = 0; last < n; last++) {
      const here = cost[set * n + last]!;
      if (here === Infinity) continue;
      for (let next = 0; next < n; next++) {
        if (set & (1 << next)) continue;
        const to = (set | (1 << next)) * n + next;
        const metres = here + distance(places[last]!, places[next]!);
        if (metres < cost[to]!) {
          cost[to] = metres;
          from[to] = last;
        }
      }
    }
  let last = 0;
  for (let i = 1; i < n; i++) if (cost[full * n + i]! < cost[full * n + last]!) last = i;
  const order: number[] = [];
  for (let set = full, at = last; at >= 0;) {
    order.push(at);
    const before = from[set * n + at]!;
    set &= ~(1 << at);
    at = before;
  }
  return order;
}

function improved(places: readonly Point[]): number[] {
  let best: number[] = [];
  let bestM = Infinity;
  for (let start = 0; start < places.length; start++) {
    const order = settled(places, nearestNeighbour(places, start));
    const metres = walkLength(places, order);
    if (metres < bestM - 1e-9) [best, bestM] = [order, metres];
  }
  return best;
}

function nearestNeighbour(places: readonly Point[], start: number): number[] {
  const order = [start];
  const left = new Set(places.keys());
  left.delete(start);
  while (left.size > 0) {
    const here = places[order.at(-1)!]!;
    let next = -1;
    for (const i of left) if (next < 0 || distance(here, places[i]!) < distance(here, places[next]!)) next = i;
    order.push(next);
    left.delete(next);
  }
  return order;
}

/** Makes a walk shorter until no stretch turned round and no short stretch moved makes it shorter still. */
function settled(places: readonly Point[], first: number[]): number[] {
  let order = first;
  let metres = walkLength(places, order);
  for (let again = true; again;) {
    again = false;
    for (const other of neighbours(order)) {
      const shorter = walkLength(places, other);
      if (shorter >= metres - 1e-9) continue;
      [order, metres, again] = [other, shorter, true];
      break;
    }
  }
  return order;
}

function* neighbours(order: readonly number[]): Generator<number[]> {
  const n = order.length;
  for (let i = 0; i < n - 1; i++)
    for (let j = i + 1; j < n; j++) {
      yield [...order.slice(0, i), ...order.slice(i, j + 1).toReversed(), ...order.slice(j + 1)];
      if (j - i > 2) continue;
      const [part, rest] = [order.slice(i, j + 1), [...order.slice(0, i), ...order.slice(j + 1)]];
      for (let k = 0; k <= rest.length; k++) yield [...rest.slice(0, k), ...part, ...rest.slice(k)];
    }
}
