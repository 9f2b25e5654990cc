import { mean } from 'd3-array';
import { studentCdf } from '../math/student';
import { certaintyOf, percentOf } from './certainty';

/** So sure it must be before a change is called one, in percent: a page shows a dozen of them, and one in twenty would come by chance. */
const REAL = 97;

/**
 * Balls of one day are alike: how much of what differs between balls is the day's. A judgement: a day's form of .1 in the
 * logarithm of what is left, against .7 between balls, and as much again for what a day's green and wind do.
 */
const DAY_SHARE = 0.04;

/** What a ball weighs in a comparison of times where so many were played in so many sessions: 1/(1 + (m − 1)·share), m a session. */
export function dayWeight(balls: number, sessions: number): number {
  return sessions === 0 ? 1 : 1 / (1 + Math.max(0, balls / sessions - 1) * DAY_SHARE);
}

/** How a probability that something got better is said: never more than is known. */
export function sayChange(chanceBetter: number): string {
  const chance = Math.max(chanceBetter, 1 - chanceBetter);
  const way = chanceBetter >= 0.5 ? 'better' : 'worse';
  if (certaintyOf(chance) === 'too close to call') return 'too close to call';
  const percent = percentOf(chance);
  return percent < REAL ? `probably ${way} (${percent}%), not certain yet` : `${way} (${percent}% sure), a real change`;
}

/** Scores are worth comparing from so many on each side. */
export const LEAST_SCORES = 3;
/** Means of scores differ by about so many of their own standard deviations before any are seen. A judgement. */
const CHANGE_SDS = 1;

/** Scores before and since, and how likely it is that what is behind them got better. */
export type ScoreChange = { before: number; since: number; of: [number, number]; chanceBetter: number };

/**
 * Whether scores of one game got better: two normal means with a common spread that is not known, so by Student’s t; the
 * difference shrunk as if about one spread were usual.
 * @param better which way is better
 * @returns null with fewer than three on either side, or where all are alike
 */
export function scoreChange(before: readonly number[], since: readonly number[], better: 'higher' | 'lower'): ScoreChange | null {
  if (before.length < LEAST_SCORES || since.length < LEAST_SCORES) return null;
  const [a, b] = [mean(before)!, mean(since)!];
  const squares = [before.map((x) => (x - a) ** 2), since.map((x) => (x - b) ** 2)].flat();
  const variance = squares.reduce((x, y) => x + y, 0) / (squares.length - 2);
  if (variance === 0) return null;
  const error = variance * (1 / before.length + 1 / since.length);
  const usual = CHANGE_SDS ** 2 * variance;
  const middle = ((b - a) * usual) / (usual + error);
  const sd = Math.sqrt((usual * error) / (usual + error));
  const higher = studentCdf(middle / sd, squares.length - 2);
  return { before: a, since: b, of: [before.length, since.length], chanceBetter: better === 'higher' ? higher : 1 - higher };
}

const FORTNIGHT_MS = 14 * 86_400_000;
const MOST_STRETCHES = 12;

/**
 * The time from the first ball to the last in stretches of a fortnight, or of twice that, four times, and so on, until they are twelve at
 * most. They begin with the first ball, so that one that is over stays as it is however long the last goes on; what is left at the end,
 * where it is less than half a stretch, belongs to the one before.
 */
export function stretches(first: Date, last: Date): { from: Date; to: Date }[] {
  const span = Math.max(1, last.getTime() - first.getTime());
  let length = FORTNIGHT_MS;
  while (Math.round(span / length) > MOST_STRETCHES) length *= 2;
  const n = Math.max(1, Math.round(span / length));
  const at = (i: number) => new Date(i === n ? last.getTime() : first.getTime() + length * i);
  return Array.from({ length: n }, (_, i) => ({ from: at(i), to: at(i + 1) }));
}
