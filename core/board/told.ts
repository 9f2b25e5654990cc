import { mean, variance } from 'd3-array';
import { normalCdf } from '../math/normal';

/** Strokes lost a shot, draw by draw: before any ball was known, and after the balls of each of two times on their own. */
export type Draws = { prior: ArrayLike<number>; before: ArrayLike<number>; since: ArrayLike<number> };

/** What balls alone say, as a normal. */
type Alone = { mean: number; variance: number };

/** Less than this part of what was open closed, balls said nothing of the shot. */
const LEAST_TOLD = 0.02;

/** What the balls of one time say alone: what is believed after them, with what was believed before them divided out; null: nothing. */
function alone(posterior: ArrayLike<number>, prior: ArrayLike<number>): Alone | null {
  const [m1, v1, m0, v0] = [mean(of(posterior))!, variance(of(posterior))!, mean(of(prior))!, variance(of(prior))!];
  const precision = 1 / v1 - 1 / v0;
  return precision * v0 < LEAST_TOLD ? null : { mean: (m1 / v1 - m0 / v0) / precision, variance: 1 / precision };
}

const of = (values: ArrayLike<number>) => Array.from(values);

/** Strokes lost a shot by the balls of each time alone, and how likely it is that it got better. */
export type ChangeTold = { before: number; since: number; chanceBetter: number };

/**
 * Whether a shot changed between two times. What is usual of the level is divided out of both: a weak shot with few balls since would else be
 * read as the level's, which is better. Instead no change is what is expected, and by as much as players of a level differ it may be one:
 * with the difference Δ, its variance σ² and that of the prior τ², Φ(Δ/σ·τ/√(τ² + σ²)).
 * @returns null where the balls of one of them say nothing of it
 */
export function changeTold({ prior, before, since }: Draws): ChangeTold | null {
  const [a, b] = [alone(before, prior), alone(since, prior)];
  if (!a || !b) return null;
  const [could, error] = [variance(of(prior))!, a.variance + b.variance];
  const chanceBetter = normalCdf(((a.mean - b.mean) / Math.sqrt(error)) * Math.sqrt(could / (could + error)));
  return { before: a.mean, since: b.mean, chanceBetter };
}
