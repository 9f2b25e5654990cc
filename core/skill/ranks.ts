import type { Lost } from './judge';

/** What the draws say of one cell: strokes lost per shot or round, and how surely it is among the weakest. */
export type Rank = {
  mean: number;
  /** Eight times in ten it is between these. */
  interval80: [number, number];
  /** The probability of being among the three weakest. */
  weakest3: number;
};

/**
 * Ranks cells by what is lost in each draw.
 * @param lost `lost[cell][draw]`
 * @param weights what each cell's strokes are multiplied by before they are compared, such as its uses in a round
 * @param among which cells are compared; the others are never among the weakest
 */
export function ranksOf(lost: Lost, weights?: readonly number[], among?: readonly boolean[]): Rank[] {
  const cells = lost.length;
  const draws = lost[0]?.length ?? 0;
  const counts = new Array<number>(cells).fill(0);
  const weigh = (cell: number, draw: number) => lost[cell]![draw]! * (weights?.[cell] ?? 1);
  for (let draw = 0; draw < draws; draw++) {
    const worst: number[] = [];
    for (let cell = 0; cell < cells; cell++) {
      if (among && !among[cell]) continue;
      let place = worst.length;
      while (place > 0 && weigh(cell, draw) > weigh(worst[place - 1]!, draw)) place--;
      if (place < 3) {
        worst.splice(place, 0, cell);
        worst.length = Math.min(3, worst.length);
      }
    }
    for (const cell of worst) counts[cell]! += 1;
  }
  return lost.map((values, cell) => ({
    ...rankOfValues(Float64Array.from(values, (value) => value * (weights?.[cell] ?? 1))),
    weakest3: draws === 0 ? 0 : counts[cell]! / draws,
  }));
}

/** The mean of draws, and between what eight in ten of them lie. */
export function rankOfValues(values: Float64Array): Omit<Rank, 'weakest3'> {
  const sorted = Float64Array.from(values).sort();
  const draws = sorted.length;
  const at = (share: number) => sorted[Math.min(draws - 1, Math.floor(share * draws))] ?? 0;
  const mean = draws === 0 ? 0 : sorted.reduce((sum, value) => sum + value, 0) / draws;
  // Of a very skewed list the mean may lie outside: it is said with the interval, and so within it.
  return { mean, interval80: [Math.min(at(0.1), mean), Math.max(at(0.9), mean)] };
}
