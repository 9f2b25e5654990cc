import { normalCdf } from '../math/normal';
import { solveUpper } from '../math/linear';
import type { Random } from '../math/random';
import { METRES_PER } from '../units/length';
import { parametersOf, type Fit } from './fit';
import { LOG_SPREAD, levelCurve, type Prior } from './prior';
import { expectedPutts, makeRate, type PuttingSkill } from './putting';
import type { Reference } from './reference';

/** Players that the evidence allows: draws from what is believed after it. */
export type Draw = { delta: Float64Array; rest: Float64Array };

/** So many draws, shared out over the prior scales by their weights. */
export function drawsOf({ prior, modes }: Fit, count: number, random: Random): Draw[] {
  const draws: Draw[] = [];
  let owed = 0;
  for (const { scale, z, factor, weight } of modes) {
    owed += weight * count;
    while (draws.length < Math.round(owed)) {
      const normal = Float64Array.from(z, () => random.normal());
      const step = solveUpper(factor, z.length, normal);
      draws.push(
        parametersOf(
          prior,
          scale,
          z.map((value, i) => value + step[i]!),
        ),
      );
    }
    owed = Math.max(owed, draws.length - 0.5);
  }
  return draws;
}

/** Strokes lost against a level, of each cell in each draw: `lost[cell][draw]`. */
export type Lost = Float64Array[];

/** Places that stand for where a ball stopped, for a table of expected strokes. */
const LOOKS = 24;
/** Farther out, in standard deviations, no ball stops. */
const FAR = 4.5;
const DELTA = { from: -1.6, step: 0.1, points: 33 };
const SPREAD = { from: -0.4, step: 0.4, points: 3 };

/** Expected strokes of a shot, by how much farther than the level it stops and how much wider it spreads. */
type Table = Float64Array;

/**
 * What a level makes of draws: tables of expected strokes, made once for a level and kept. The putts that are left are
 * the level's own, so that somebody's putting does not colour their chipping.
 */
export class Judge {
  readonly #tables = new Map<number, { table: Table; level: number }>();
  readonly #putts: (ft: number) => number;

  constructor(
    readonly prior: Prior,
    readonly reference: Reference,
    /** Against which strokes are counted. */
    readonly level: number,
  ) {
    this.#putts = (ft) => reference.putts(level, ft * METRES_PER.ft);
  }

  /** Strokes lost per shot of every cell in every draw. */
  lost(draws: readonly Draw[]): Lost {
    const { cells, offGreen } = this.prior;
    const putting = this.#puttsLost(draws);
    return cells.map((_, cell) =>
      cell < offGreen
        ? Float64Array.from(draws, ({ delta, rest }) => this.expected(cell, delta[cell]!, rest[0]!) - this.#of(cell).level)
        : putting[cell - offGreen]!,
    );
  }

  /** Expected strokes of a cell off the green, for a player who stops e^δ times as far and spreads e^spread times as wide. */
  expected(cell: number, delta: number, spread: number): number {
    const { table } = this.#of(cell);
    const x = Math.min(DELTA.points - 1.001, Math.max(0, (delta - DELTA.from) / DELTA.step));
    const y = Math.min(SPREAD.points - 1.001, Math.max(0, (spread - SPREAD.from) / SPREAD.step));
    const [i, j] = [Math.floor(x), Math.floor(y)];
    const at = (a: number, b: number) => table[(j + b) * DELTA.points + i + a]!;
    const [u, v] = [x - i, y - j];
    return (1 - v) * ((1 - u) * at(0, 0) + u * at(1, 0)) + v * ((1 - u) * at(0, 1) + u * at(1, 1));
  }

  #of(cell: number): { table: Table; level: number } {
    let found = this.#tables.get(cell);
    if (!found) {
      const { distanceM } = this.prior.cells[cell]!;
      const table = new Float64Array(DELTA.points * SPREAD.points);
      const own = this.prior.at(cell, distanceM);
      for (let j = 0; j < SPREAD.points; j++)
        for (let i = 0; i < DELTA.points; i++)
          table[j * DELTA.points + i] = this.#strokes(own, DELTA.from + i * DELTA.step, SPREAD.from + j * SPREAD.step);
      // Of the level it is entered with, a player's own curve is the level's; of another, that level's.
      const there = this.level === this.prior.level ? own : levelCurve(this.reference, this.level, this.prior.cells[cell]!, distanceM);
      this.#tables.set(cell, (found = { table, level: this.#strokes(there, 0, 0) }));
    }
    return found;
  }

  #strokes({ mu, logCap }: { mu: number; logCap: number }, delta: number, spread: number): number {
    const s = Math.exp(LOG_SPREAD + spread);
    const centre = mu + delta;
    const nearest = (logCap - centre) / s;
    // Over where balls stop that are not in the hole, by the midpoint rule.
    const from = Math.max(-FAR, nearest);
    const step = Math.max(0, FAR - from) / LOOKS;
    let sum = 0;
    let putts = 0;
    for (let look = 0; look < LOOKS; look++) {
      const z = from + (look + 0.5) * step;
      const weight = Math.exp((-z * z) / 2);
      sum += weight;
      putts += weight * this.#putts(Math.exp(centre + s * z) / METRES_PER.ft);
    }
    return 1 + (1 - normalCdf(nearest)) * Math.max(1, sum > 0 ? putts / sum : 1);
  }

  /**
   * Expected putts of draws against the level's. The first putt is the draw's own; what a missed one costs is read from
   * three solved players near the mean, since it changes little and smoothly.
   */
  #puttsLost(draws: readonly Draw[]): Float64Array[] {
    const { cells, offGreen, bands, putting } = this.prior;
    const bandCells = cells.slice(offGreen);
    if (bandCells.length === 0) return [];
    const mean = (at: number) => draws.reduce((sum, { rest }) => sum + rest[at]!, 0) / Math.max(1, draws.length);
    const [angle, length] = [mean(1), mean(2 + bands)];
    const STEP = 0.15;
    const skill = (a: number, d: number): PuttingSkill => ({
      angle: putting.angle * Math.exp(a),
      distance: putting.distance * Math.exp(d),
    });
    const after = (a: number, d: number) => {
      const solved = expectedPutts(skill(a, d));
      return bandCells.map(({ distanceM }) => {
        const ft = distanceM / METRES_PER.ft;
        return (solved(ft) - 1) / Math.max(1e-9, 1 - makeRate(skill(a, d), ft));
      });
    };
    const [base, wider, longer] = [after(angle, length), after(angle + STEP, length), after(angle, length + STEP)];
    return bandCells.map(({ distanceM }, b) => {
      const ft = distanceM / METRES_PER.ft;
      const level = this.#putts(ft);
      return Float64Array.from(draws, ({ rest }) => {
        const [a, d] = [rest[1]!, rest[2 + bands]!];
        const missed = base[b]! + ((a - angle) / STEP) * (wider[b]! - base[b]!) + ((d - length) / STEP) * (longer[b]! - base[b]!);
        const rate = makeRate(skill(a + rest[2 + b]!, d + rest[3 + bands + b]!), ft);
        return 1 + (1 - rate) * Math.max(1, missed) - level;
      });
    });
  }
}
