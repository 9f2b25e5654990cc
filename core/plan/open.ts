import { RINGS_TELL } from '../board/settle';
import type { Lost } from '../skill/judge';

/** Balls of one kind of shot; the cell as an index of the model's. */
export type Batch = { cell: number; balls: number };

/** What is not known of a player: strokes lost by draw and cell, how often each comes up, and by how much single balls of a cell scatter. */
export type Unknown = { lost: Lost; uses: readonly number[]; perBall: readonly number[] };

/**
 * What is open of the strokes that a player loses in a round: their covariance, cell by cell, and how further balls would narrow it. What a
 * ball says of its own cell it says in part of its neighbours. Of n cells the covariance has n·n figures, row by row.
 */
export class OpenStrokes {
  readonly cells: number;
  readonly #covariance: Float64Array;
  readonly #scatter: readonly number[];

  constructor({ lost, uses, perBall }: Unknown) {
    const n = (this.cells = lost.length);
    const centred = lost.map((values, i) => {
      const mean = values.reduce((a, b) => a + b, 0) / values.length;
      return Float64Array.from(values, (value) => uses[i]! * (value - mean));
    });
    this.#scatter = uses.map((use, i) => (use * perBall[i]!) ** 2 / RINGS_TELL);
    this.#covariance = new Float64Array(n * n);
    const draws = lost[0]?.length ?? 1;
    for (let i = 0; i < n; i++)
      for (let j = i; j < n; j++) {
        let product = 0;
        for (let draw = 0; draw < draws; draw++) product += centred[i]![draw]! * centred[j]![draw]!;
        this.#covariance[i * n + j] = this.#covariance[j * n + i] = product / draws;
      }
  }

  /** The variance of the strokes lost in one cell. */
  variance(cell: number): number {
    return this.#covariance[cell * this.cells + cell]!;
  }

  /** The variances of all cells together. */
  get total(): number {
    let sum = 0;
    for (let i = 0; i < this.cells; i++) sum += this.variance(i);
    return sum;
  }

  /**
   * By how much balls of a cell narrow the variances of all.
   * @param weights what each cell's variance counts; without them all alike
   */
  drop({ cell, balls }: Batch, weights?: readonly number[]): number {
    const noise = this.variance(cell) + this.#scatter[cell]! / balls;
    if (noise <= 0) return 0;
    let sum = 0;
    for (let i = 0; i < this.cells; i++) sum += (weights?.[i] ?? 1) * this.#covariance[i * this.cells + cell]! ** 2;
    return sum / noise;
  }

  /** What is open once these balls are hit, whatever comes of them. */
  hit({ cell, balls }: Batch): void {
    const n = this.cells;
    const noise = this.variance(cell) + this.#scatter[cell]! / balls;
    if (noise <= 0) return;
    const column = Float64Array.from({ length: n }, (_, i) => this.#covariance[i * n + cell]!);
    for (let i = 0; i < n; i++) for (let j = 0; j < n; j++) this.#covariance[i * n + j]! -= (column[i]! * column[j]!) / noise;
  }
}

/**
 * Batch by batch the shot whose balls narrow most what is open.
 * @param batches how many are chosen; a cell is chosen once
 * @param allowed which cells may be
 * @param first those that are chosen already
 * @param goes whether one more goes with those that are chosen; where none does, no more are
 */
export function narrowMost(
  open: OpenStrokes,
  {
    batches,
    balls,
    allowed,
    weights,
    first = [],
    goes = () => true,
  }: {
    batches: number;
    balls: number;
    allowed: readonly number[];
    weights?: readonly number[];
    first?: readonly number[];
    goes?: (cell: number, chosen: readonly number[]) => boolean;
  },
): Batch[] {
  const chosen: Batch[] = [];
  while (chosen.length < batches) {
    const so = [...first, ...chosen.map(({ cell }) => cell)];
    const left = allowed.filter((cell) => !so.includes(cell) && goes(cell, so));
    if (left.length === 0) break;
    const drops = left.map((cell) => open.drop({ cell, balls }, weights));
    const best = { cell: left[drops.indexOf(Math.max(...drops))]!, balls };
    open.hit(best);
    chosen.push(best);
  }
  return chosen;
}
