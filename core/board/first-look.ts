import type { Cell } from '../skill/cells';
import { believe } from '../skill/diagnose';
import type { SkillModel } from '../skill/model';
import { RINGS_TELL } from './settle';

/** Balls from one kind of shot; the cell as an index of the model's. */
export type Batch = { cell: number; balls: number };

/**
 * What is not known of a player of a level before any ball: the covariance of the strokes lost in a round, cell by cell, and by how much
 * single balls of a cell scatter there; of n cells, n·n figures row by row.
 */
class Open {
  readonly covariance: Float64Array;
  readonly scatter: readonly number[];

  constructor(model: SkillModel, level: number) {
    const { draws } = believe({ groups: [] }, model, level);
    const judge = model.judge(level, level);
    const mix = model.mix(level);
    const uses = model.cells.map(({ key }) => mix.get(key) ?? 0);
    const lost = judge.lost(draws).map((values, i) => {
      const mean = values.reduce((a, b) => a + b, 0) / values.length;
      return values.map((value) => uses[i]! * (value - mean));
    });
    const n = lost.length;
    this.scatter = uses.map((use, i) => (use * judge.perBall(i)) ** 2 / RINGS_TELL);
    this.covariance = new Float64Array(n * n);
    for (let i = 0; i < n; i++)
      for (let j = i; j < n; j++) {
        const product = lost[i]!.reduce((sum, value, draw) => sum + value * lost[j]![draw]!, 0) / draws.length;
        this.covariance[i * n + j] = this.covariance[j * n + i] = product;
      }
  }

  get cells(): number {
    return this.scatter.length;
  }

  /** The variances of all cells together. */
  get total(): number {
    return this.scatter.reduce((sum, _, i) => sum + this.covariance[i * this.cells + i]!, 0);
  }

  /** By how much balls of a cell narrow the variances of all: what they say of one, they say in part of its neighbours. */
  drop({ cell, balls }: Batch): number {
    const noise = this.covariance[cell * this.cells + cell]! + this.scatter[cell]! / balls;
    if (noise <= 0) return 0;
    let sum = 0;
    for (let i = 0; i < this.cells; i++) sum += this.covariance[i * this.cells + cell]! ** 2;
    return sum / noise;
  }

  hit({ cell, balls }: Batch): void {
    const n = this.cells;
    const noise = this.covariance[cell * n + cell]! + this.scatter[cell]! / balls;
    if (noise <= 0) return;
    const column = Float64Array.from({ length: n }, (_, i) => this.covariance[i * n + cell]!);
    for (let i = 0; i < n; i++) for (let j = 0; j < n; j++) this.covariance[i * n + j]! -= (column[i]! * column[j]!) / noise;
  }
}

/**
 * The shots with which to begin with somebody of whom nothing is known but a level: batch by batch the one that narrows most what their
 * strokes in a round could be.
 * @param batches how many places there are
 * @param balls hit from each
 * @param leftOut shots that nobody would lay out, such as tap-ins
 */
export function firstLook(
  model: SkillModel,
  level: number,
  batches: number,
  balls: number,
  leftOut: (cell: Cell) => boolean = () => false,
): Batch[] {
  const open = new Open(model, level);
  const candidates = model.cells.flatMap((cell, i) => (leftOut(cell) ? [] : [i]));
  const chosen: Batch[] = [];
  while (chosen.length < batches) {
    const left = candidates.filter((cell) => chosen.every((one) => one.cell !== cell));
    const drops = left.map((cell) => open.drop({ cell, balls }));
    const best = { cell: left[drops.indexOf(Math.max(...drops))]!, balls };
    open.hit(best);
    chosen.push(best);
  }
  return chosen;
}

/** What share of the variances is left open after some balls, for a player of a level. */
export function leftOpen(model: SkillModel, level: number, batches: readonly Batch[]): number {
  const open = new Open(model, level);
  const before = open.total;
  for (const batch of batches) open.hit(batch);
  return open.total / before;
}
