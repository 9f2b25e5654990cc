import { cholesky, logDeterminant, solveLower, solveUpper } from '../math/linear';
import { normalCdf } from '../math/normal';
import type { Shot } from '../shot/shot';
import { addTo, groupOf, type BallGroup } from '../skill/groups';
import { ANGLE, asTheLevel } from '../skill/parameters';
import { itemsOf, likelihood } from '../skill/likelihood';
import type { SkillModel } from '../skill/model';
import { cellKey } from '../skill/cells';

/*
 * Clubs and flights inside one cell, in the model that reads the cell itself: each has an effect on what is left (of putts, on how
 * far they start off line), and every kind of record says of it what it says of the skill. Effects are normal about the cell's
 * own, and how far they lie apart is not known beforehand: a few spreads are tried, and weigh what the balls give them.
 * So few balls say little, and having picked two of many is allowed for.
 */

/** A club, or a flight, and what it loses here against the level, with its uncertainty: strokes. */
export type Choice = { name: string; balls: number; lost: number; sd: number };
/** How likely it is that the first loses less than the second; null for too few balls of either to say. */
export type Versus = { better: string; worse: string; chance: number | null };
export type Ranking = { choices: Choice[]; versus: Versus | null };
/** The same shot low and high from one station of one session: high minus low in strokes, of so many pairs; the chance null where it is too early to say. */
export type Pairs = { pairs: number; mean: number; sd: number; chanceHighBetter: number | null };

/** How far choices may lie apart, as logarithms of what is left. */
const SPREADS = [0.03, 0.08, 0.16, 0.3];
/** From so many balls of each on a chance is said: below it, what is said depends on the judged spreads more than on the balls. */
export const LEAST_BALLS = 5;
export const LEAST_PAIRS = 5;

/** What some balls say of an offset of their cell: where it would be by themselves, and how surely, as a precision. */
type Told = { offset: number; precision: number };

/** Reads balls of one cell against a level. */
class CellReader {
  readonly #prior;
  readonly #judge;
  readonly #cell: number;
  readonly #putt: boolean;

  constructor(
    readonly model: SkillModel,
    level: number,
    key: string,
  ) {
    this.#prior = model.prior(level);
    this.#judge = model.judge(level, level);
    this.#cell = this.#prior.index.get(key) ?? -1;
    this.#putt = this.#cell >= this.#prior.offGreen;
  }

  get known(): boolean {
    return this.#cell >= 0;
  }

  #parametersAt(offset: number) {
    const parameters = asTheLevel(this.#prior);
    if (this.#putt) parameters.rest[ANGLE] = offset;
    else parameters.delta[this.#cell] = offset;
    return parameters;
  }

  /** Strokes lost a shot at an offset. */
  lostAt(offset: number): number {
    return this.#judge.lost([this.#parametersAt(offset)])[this.#cell]![0]!;
  }

  /** One Newton step from an offset: the logarithm of the likelihood is nearly a parabola between choices of one player. */
  told(shots: readonly Shot[], from: number): Told {
    const groups = new Map<string, BallGroup>();
    for (const shot of shots) {
      const one = groupOf({ ...shot, zone: null });
      if (one) addTo(groups, one, 1);
    }
    const { delta, rest } = this.#parametersAt(from);
    const found = likelihood(itemsOf([...groups.values()], this.#prior), this.#prior, delta, rest);
    const score = this.#putt ? found.byRest[ANGLE]! : found.byCell[this.#cell]!;
    const precision = Math.max(1e-6, this.#putt ? found.rest[ANGLE * rest.length + ANGLE]! : found.cells[this.#cell]!);
    return { offset: from + score / precision, precision };
  }

  /** Where all balls together lie. */
  middle(shots: readonly Shot[]): number {
    let at = 0;
    for (let step = 0; step < 8; step++) {
      // Not known of a few lucky balls: as surely as players of a level differ.
      const { offset, precision } = this.told(shots, at);
      const next = (offset * precision) / (precision + 1 / PLAYERS_SD ** 2);
      if (Math.abs(next - at) < 1e-4) break;
      at = Math.max(-2, Math.min(2, next));
    }
    return at;
  }
}
/** Players of a level differ about so much in one cell. */
const PLAYERS_SD = 0.35;

const readerOf = (shots: readonly Shot[], level: number, model: SkillModel) => {
  const [first] = shots;
  const reader = first && new CellReader(model, level, cellKey(first.shotType, first.surface, first.distanceM));
  return reader?.known ? reader : null;
};

/**
 * Clubs, or flights, by what they lose, least first. Only balls that name theirs count.
 * @param shots balls of one player from one cell
 */
export function rankingOf(shots: readonly Shot[], nameOf: (shot: Shot) => string | null, level: number, model: SkillModel): Ranking {
  const by = new Map<string, Shot[]>();
  for (const shot of shots) {
    const name = nameOf(shot);
    if (name !== null && groupOf({ ...shot, zone: null })) by.set(name, [...(by.get(name) ?? []), shot]);
  }
  const reader = by.size < 2 ? null : readerOf(shots, level, model);
  if (!reader) return { choices: [], versus: null };
  const lists = [...by];
  const middle = reader.middle(lists.flatMap(([, list]) => list));
  const told = lists.map(([, list]) => reader.told(list, middle));
  const { effects, covariance } = effectsOf(told, middle);
  const slope = (reader.lostAt(middle + 0.05) - reader.lostAt(middle - 0.05)) / 0.1;
  const k = told.length;
  const choices = lists.map(([name, list], i) => ({
    i,
    name,
    balls: list.reduce((sum, { nBalls }) => sum + nBalls, 0),
    lost: reader.lostAt(effects[i]!),
    sd: slope * Math.sqrt(covariance[i * k + i]!),
  }));
  choices.sort((a, b) => a.lost - b.lost);
  const [best, worst] = [choices[0]!, choices.at(-1)!];
  const [b, w] = [best.i, worst.i];
  const variance = covariance[b * k + b]! + covariance[w * k + w]! - 2 * covariance[b * k + w]!;
  const enough = Math.min(best.balls, worst.balls) >= LEAST_BALLS;
  const chance = enough ? normalCdf((effects[w]! - effects[b]!) / Math.sqrt(Math.max(1e-12, variance))) : null;
  return {
    choices: choices.map(({ name, balls, lost, sd }) => ({ name, balls, lost, sd })),
    versus: { better: best.name, worse: worst.name, chance },
  };
}

/** Where each of several choices lies after its balls, with their covariance: averaged over how far they may lie apart. */
function effectsOf(told: readonly Told[], middle: number): { effects: Float64Array; covariance: Float64Array } {
  const k = told.length;
  const fits = SPREADS.map((spread) => {
    // The common middle first, then one effect each; standard normals but for the middle, which is only known to a player's own spread.
    const n = k + 1;
    const [precision, right] = [new Float64Array(n * n), new Float64Array(n)];
    precision[0] = 1 / PLAYERS_SD ** 2;
    right[0] = middle * precision[0];
    told.forEach(({ offset, precision: p }, i) => {
      const at = i + 1;
      precision[0]! += p;
      precision[at * n] = p;
      precision[at] = p;
      precision[at * n + at] = p + 1 / spread ** 2;
      right[0]! += p * offset;
      right[at]! += p * offset;
    });
    const factor = cholesky(precision, n);
    const mode = solveUpper(factor, n, solveLower(factor, n, right));
    // What the balls give this spread, but for what all spreads share.
    const half = solveLower(factor, n, right);
    const evidence = half.reduce((sum, value) => sum + value * value, 0) / 2 - logDeterminant(factor, n) / 2 - k * Math.log(spread);
    const columns = Array.from({ length: k }, (_, i) => {
      const unit = new Float64Array(n);
      unit[0] = unit[i + 1] = 1;
      return solveUpper(factor, n, solveLower(factor, n, unit));
    });
    const effects = Float64Array.from({ length: k }, (_, i) => mode[0]! + mode[i + 1]!);
    const covariance = Float64Array.from({ length: k * k }, (_, at) => {
      const column = columns[at % k]!;
      return column[0]! + column[1 + Math.floor(at / k)]!;
    });
    return { evidence, effects, covariance };
  });
  const best = Math.max(...fits.map(({ evidence }) => evidence));
  const weights = fits.map(({ evidence }) => Math.exp(evidence - best));
  const sum = weights.reduce((a, b) => a + b, 0);
  const effects = new Float64Array(k);
  fits.forEach((one, f) => one.effects.forEach((value, i) => (effects[i]! += (weights[f]! / sum) * value)));
  const covariance = new Float64Array(k * k);
  fits.forEach((one, f) =>
    one.covariance.forEach((value, at) => {
      const [i, j] = [Math.floor(at / k), at % k];
      covariance[at]! += (weights[f]! / sum) * (value + (one.effects[i]! - effects[i]!) * (one.effects[j]! - effects[j]!));
    }),
  );
  return { effects, covariance };
}

/** Low against high from one station of one session: what the station and the day do to both drops out. */
export function pairsOf(shots: readonly Shot[], level: number, model: SkillModel): Pairs | null {
  const at = new Map<string, { low: Shot[]; high: Shot[] }>();
  for (const shot of shots) {
    if (shot.trajectory !== 'low' && shot.trajectory !== 'high') continue;
    if (!groupOf({ ...shot, zone: null })) continue;
    const key = `${shot.sessionId}|${shot.stationKey}|${shot.distanceM}`;
    const held = at.get(key) ?? { low: [], high: [] };
    held[shot.trajectory].push(shot);
    at.set(key, held);
  }
  const pairs = [...at.values()].filter(({ low, high }) => low.length > 0 && high.length > 0);
  const reader = readerOf(shots, level, model);
  if (pairs.length === 0 || !reader) return null;
  const middle = reader.middle(pairs.flatMap(({ low, high }) => [...low, ...high]));
  let [sum, precision] = [0, 0];
  for (const { low, high } of pairs) {
    const [a, b] = [reader.told(low, middle), reader.told(high, middle)];
    const p = (a.precision * b.precision) / (a.precision + b.precision);
    sum += p * (b.offset - a.offset);
    precision += p;
  }
  const gap = sum / precision;
  // As far apart as two choices may lie, each spread by what the balls give it.
  const fits = SPREADS.map((spread) => {
    const [before, after] = [2 * spread ** 2, 1 / (1 / (2 * spread ** 2) + precision)];
    const total = before + 1 / precision;
    return { mean: after * precision * gap, variance: after, weight: Math.exp(-(gap * gap) / (2 * total)) / Math.sqrt(total) };
  });
  const all = fits.reduce((a, { weight }) => a + weight, 0);
  const mean = fits.reduce((a, one) => a + (one.weight / all) * one.mean, 0);
  const variance = fits.reduce((a, one) => a + (one.weight / all) * (one.variance + (one.mean - mean) ** 2), 0);
  const slope = (reader.lostAt(middle + 0.05) - reader.lostAt(middle - 0.05)) / 0.1;
  return {
    pairs: pairs.length,
    mean: slope * mean,
    sd: slope * Math.sqrt(variance),
    chanceHighBetter:
      pairs.length < LEAST_PAIRS
        ? null
        : fits.reduce((a, one) => a + (one.weight / all) * normalCdf(-one.mean / Math.sqrt(one.variance)), 0),
  };
}
