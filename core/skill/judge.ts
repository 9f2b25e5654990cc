import { mean } from 'd3-array';
import { METRES_PER } from '../units/length';
import { puttingOf, SPREAD } from './parameters';
import type { Draw } from './posterior';
import { levelCurve, type LevelCurve, type Prior } from './prior';
import { afterMiss } from './putters';
import { makeRate } from '../golf/putting';
import type { Reference } from '../golf/reference';
import { allInside, ANYWHERE, anywhereAt, BALL_SD, steepness, zOf } from './shape';

/** Strokes lost against a level, of each cell in each draw: `lost[cell][draw]`. */
export type Lost = Float64Array[];

/** Points of a table: where it begins, how far apart, how many. */
type Axis = { from: number; step: number; points: number };
/** Of the logarithm of the median left in metres, and of the spread against the level's. */
const CENTRE: Axis = { from: -4, step: 0.1, points: 86 };
const SPREADS: Axis = { from: -0.6, step: 0.3, points: 5 };
/** How much farther than the level a ball stops, as a logarithm. */
const DELTA: Axis = { from: -2, step: 0.1, points: 41 };
/** Places that stand for where balls stop. */
const LOOKS = 48;
const PLACES = Array.from({ length: LOOKS }, (_, i) => (i + 0.5) / LOOKS);
const Z_PLACES = PLACES.map(zOf);

/** Linear between the points of a table along both axes, the end ones beyond them. */
function read(table: Float64Array, across: Axis, down: Axis, x: number, y: number): number {
  const u = Math.min(across.points - 1.001, Math.max(0, (x - across.from) / across.step));
  const v = Math.min(down.points - 1.001, Math.max(0, (y - down.from) / down.step));
  const [i, j] = [Math.floor(u), Math.floor(v)];
  const at = j * across.points + i;
  const near = table[at]! + (u - i) * (table[at + 1]! - table[at]!);
  const far = table[at + across.points]! + (u - i) * (table[at + across.points + 1]! - table[at + across.points]!);
  return near + (v - j) * (far - near);
}

function tableOf(across: Axis, down: Axis, of: (x: number, y: number) => number): Float64Array {
  const table = new Float64Array(across.points * down.points);
  for (let j = 0; j < down.points; j++)
    for (let i = 0; i < across.points; i++) table[j * across.points + i] = of(across.from + i * across.step, down.from + j * down.step);
  return table;
}

/**
 * What a level makes of draws: tables of expected strokes, made once for a level and kept. The putts that are left are
 * the level's own, so that somebody's putting does not colour their chipping.
 */
export class Judge {
  readonly #putts: (ft: number) => number;
  /** Putts after balls that stop about a centre, were none of them holed. */
  readonly #after: Float64Array;
  readonly #cells = new Map<number, { table: Float64Array; level: number }>();

  constructor(
    readonly prior: Prior,
    readonly reference: Reference,
    /** Against which strokes are counted. */
    readonly level: number,
  ) {
    this.#putts = (ft) => Math.max(1, reference.putts(level, ft * METRES_PER.ft));
    this.#after = tableOf(CENTRE, SPREADS, (centre, spread) => this.#puttsAbout(centre, spread));
  }

  /** Strokes lost per shot of every cell in every draw. */
  lost(draws: readonly Draw[]): Lost {
    const { cells, offGreen } = this.prior;
    const putting = this.#puttsLost(draws);
    return cells.map((_, cell) =>
      cell < offGreen
        ? Float64Array.from(draws, ({ delta, rest }) => this.expected(cell, delta[cell]!, rest[SPREAD]!) - this.levelExpects(cell))
        : putting[cell - offGreen]!,
    );
  }

  /** Expected strokes of a cell off the green, for a player who stops e^δ times as far and spreads e^spread times as wide. */
  expected(cell: number, delta: number, spread: number): number {
    return read(this.#of(cell).table, DELTA, SPREADS, delta, spread);
  }

  /** Expected strokes of the level, by the same curves. */
  levelExpects(cell: number): number {
    const { cells, offGreen } = this.prior;
    return cell < offGreen ? this.#of(cell).level : this.#putts(cells[cell]!.distanceM / METRES_PER.ft);
  }

  /** By how many strokes single balls of a cell differ at the level: what one ball leaves open of the middle, times dE/dμ, off the green; √(p(1 − p)) of a putt that drops with p. */
  perBall(cell: number): number {
    const { cells, offGreen, putting } = this.prior;
    const STEP = 0.1;
    if (cell < offGreen) return (BALL_SD * (this.expected(cell, STEP, 0) - this.expected(cell, -STEP, 0))) / (2 * STEP);
    const rate = makeRate(putting, cells[cell]!.distanceM / METRES_PER.ft);
    return Math.sqrt(rate * (1 - rate));
  }

  /** The curve of the level against which is counted, at a cell off the green. */
  levelCurve(cell: number): LevelCurve {
    const at = this.prior.cells[cell]!;
    // Of the level it is entered with, a player's own curve is the level's.
    return this.level === this.prior.level ? this.prior.at(cell, at.distanceM) : levelCurve(this.reference, this.level, at, at.distanceM);
  }

  #of(cell: number): { table: Float64Array; level: number } {
    let found = this.#cells.get(cell);
    if (!found) {
      const { distanceM } = this.prior.cells[cell]!;
      const own = this.prior.at(cell, distanceM);
      const anywhere = mean(PLACES, (share) => this.#putts(anywhereAt(share, distanceM) / METRES_PER.ft))!;
      const table = tableOf(DELTA, SPREADS, (delta, spread) => this.#strokes(own, anywhere, delta, spread));
      this.#cells.set(cell, (found = { table, level: this.#strokes(this.levelCurve(cell), anywhere, 0, 0) }));
    }
    return found;
  }

  /** Over where balls stop that came off: as many places as stand for equal shares of them. */
  #puttsAbout(centre: number, spread: number): number {
    const steep = steepness(spread);
    return mean(Z_PLACES, (z) => this.#putts(Math.exp(centre + z / steep) / METRES_PER.ft))!;
  }

  /**
   * One stroke, and the putts after all balls that are not holed.
   * @param anywhere putts after a ball that ends anywhere
   */
  #strokes({ mu, logCap, luck }: LevelCurve, anywhere: number, delta: number, spread: number): number {
    const centre = mu + delta;
    const holed = allInside(steepness(spread) * (logCap - centre), luck);
    return 1 + (1 - holed) * ((1 - ANYWHERE) * read(this.#after, CENTRE, SPREADS, centre, spread) + ANYWHERE * anywhere);
  }

  /** Expected putts of draws against the level's. The first putt is the draw's own, and so is what a missed one costs. */
  #puttsLost(draws: readonly Draw[]): Float64Array[] {
    const { cells, offGreen, bandsAt } = this.prior;
    return cells.slice(offGreen).map(({ distanceM }) => {
      const ft = distanceM / METRES_PER.ft;
      const level = this.#putts(ft);
      const inBands = bandsAt(distanceM);
      return Float64Array.from(draws, ({ rest }) => {
        const own = puttingOf(this.prior, rest, inBands);
        return 1 + (1 - makeRate(own, ft)) * afterMiss(own, ft).putts - level;
      });
    });
  }
}
