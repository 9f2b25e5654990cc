import { normalCdf } from '../math/normal';
import type { Tally } from './evidence';
import type { Reference } from '../golf/reference';
import { STEEPNESS, zOf } from './shape';
import { strokesLost } from './strokes-lost';

/** Beyond its distance, what a shot costs: how much more or less than the level, per shot, and how surely. */
export type Trouble = { mean: number; sd: number };

/** So many balls weigh as much as the belief that a player finds as much trouble as the level. A judgement. */
const SHRINK = 20;

/**
 * What finishing in sand, in rough, off the green again, out of play or with a penalty costs beyond the distance left:
 * each marked ball by what the level expects from there, against a putt of the same length; balls that were not marked
 * as on the green. The mean is shrunk by n/(n + 20) towards what the level itself pays.
 * @param levelPays what the level pays for trouble, per shot
 */
export function troubleOf(tallies: readonly Tally[], level: number, reference: Reference, levelPays: number): Trouble {
  let [n, sum, squares] = [0, 0, 0];
  for (const { ball, weight } of tallies) {
    const costs = excess(ball, level, reference);
    n += weight;
    sum += weight * costs;
    squares += weight * costs * costs;
  }
  if (n === 0) return { mean: 0, sd: 0 };
  const mean = sum / n;
  const variance = Math.max(0, squares / n - mean * mean);
  return { mean: (n / (n + SHRINK)) * (mean - levelPays), sd: Math.sqrt(variance * n) / (n + SHRINK) };
}

function excess(ball: Tally['ball'], level: number, reference: Reference): number {
  if ((ball.finish === null || ball.finish === 'green') && ball.penalty === 0) return 0;
  const paid = strokesLost(ball, level, reference);
  if (paid === null) return 0;
  const plain = strokesLost({ ...ball, finish: null, penalty: 0 }, level, reference);
  return paid - (plain ?? 0);
}

/**
 * Off the green lies what stops farther from the hole than the edge: half of the balls left so far, and within what
 * spread of its logarithm the others. A judgement of greens with the hole in the middle.
 */
const EDGE_M = 11;
const EDGE_SPREAD = 0.35;
const LOOKS = 20;

/** The chance that a ball which stops so many metres from the hole lies off the green. */
export function offGreenChance(leftM: number): number {
  return normalCdf(Math.log(leftM / EDGE_M) / EDGE_SPREAD);
}

/**
 * What a level itself pays for balls that stop off the green, per shot, beyond their distance: the next shot from light
 * rough against a putt of that length, as often as such balls miss the green.
 * @param mu the logarithm of what the level leaves in the middle, in metres
 */
export function levelTrouble(mu: number, level: number, reference: Reference): number {
  let sum = 0;
  for (let look = 0; look < LOOKS; look++) {
    const leftM = Math.exp(mu + zOf((look + 0.5) / LOOKS) / STEEPNESS);
    const misses = offGreenChance(leftM);
    const next = reference.shot(level, 'chip', 'light_rough', leftM)!.expectedStrokes;
    sum += misses * Math.max(0, next - Math.max(1, reference.putts(level, leftM)));
  }
  return sum / LOOKS;
}
