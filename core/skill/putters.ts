import { expectedPutts, makeRate, nextPutt, type PuttingSkill } from '../golf/putting';

/**
 * Putters at the nodes of a grid over both spreads, as logarithms `NODE` apart: solved when first needed, and kept. What
 * follows a missed putt changes little and smoothly from one to the next, so that in between it is read linearly.
 */
const NODE = 0.25;
const [STEADIEST, WILDEST] = [0.004, 0.6];

type Putter = { skill: PuttingSkill; putts: (ft: number) => number; known: Map<number, Missed> };
/** After a missed putt: how many putts are still expected, and the chance that the next one drops. */
type Missed = { putts: number; next: number };

const putters = new Map<number, Putter>();

function missedAt(i: number, j: number, ft: number): Missed {
  const key = i * 1000 + j;
  let putter = putters.get(key);
  if (!putter) {
    const skill = { angle: Math.exp(i * NODE), distance: Math.exp(j * NODE) };
    putters.set(key, (putter = { skill, putts: expectedPutts(skill), known: new Map() }));
  }
  let missed = putter.known.get(ft);
  if (!missed) {
    const misses = Math.max(1e-9, 1 - makeRate(putter.skill, ft));
    const putts = Math.max(1, (putter.putts(ft) - 1) / misses);
    putter.known.set(ft, (missed = { putts, next: Math.min(1, nextPutt(putter.skill, ft) / misses) }));
  }
  return missed;
}

const placeOf = (spread: number) => Math.log(Math.min(WILDEST, Math.max(STEADIEST, spread))) / NODE;

/**
 * What follows a putt that was missed from `ft` feet.
 * @returns putts still expected; the chance that the next one drops, and how that changes with the logarithm of either spread
 */
export function afterMiss({ angle, distance }: PuttingSkill, ft: number) {
  const [x, y] = [placeOf(angle), placeOf(distance)];
  const [i, j] = [Math.floor(x), Math.floor(y)];
  const [u, v] = [x - i, y - j];
  const [a, b, c, d] = [missedAt(i, j, ft), missedAt(i + 1, j, ft), missedAt(i, j + 1, ft), missedAt(i + 1, j + 1, ft)];
  return {
    putts: (1 - v) * ((1 - u) * a.putts + u * b.putts) + v * ((1 - u) * c.putts + u * d.putts),
    next: (1 - v) * ((1 - u) * a.next + u * b.next) + v * ((1 - u) * c.next + u * d.next),
    byAngle: ((1 - v) * (b.next - a.next) + v * (d.next - c.next)) / NODE,
    byDistance: ((1 - u) * (c.next - a.next) + u * (d.next - b.next)) / NODE,
  };
}
