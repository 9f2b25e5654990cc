import { hash32 } from '../math/hash';
import { storedOrders } from '../math/random';
import { isOutAndBack, type PlayingOrder } from './rules';
import type { Lot } from './scoring/scheme';

/** A lot by its identity: the same in every order of play. */
export const lotKey = ({ at, ballNo }: Pick<Lot, 'at' | 'ballNo'>) => `${at}|${ballNo}`;

/**
 * Puts the balls of a game in the order of play.
 * @param lots station by station
 * @param seed decides a random order; the same seed gives the same order on every device
 * @returns the same lots; for `choice`, in the order in which they are offered
 */
export function inPlayingOrder(lots: readonly Lot[], order: PlayingOrder, seed: number): Lot[] {
  if (isOutAndBack(order)) return outAndBack(lots, order === 'serial_twice');
  if (order === 'random') return neverTwiceRunning(lots, seed);
  return [...lots];
}

function byStation(lots: readonly Lot[]): Lot[][] {
  const queues: Lot[][] = [];
  for (const lot of lots) (queues[lot.at] ??= []).push(lot);
  return queues.filter((queue) => queue.length > 0);
}

/**
 * Nearest to farthest and back, one ball at each, passing over stations that have no ball left.
 * @param twice whether the station at which it turns is played twice running
 */
function outAndBack(lots: readonly Lot[], twice: boolean): Lot[] {
  const queues = byStation(lots);
  const ordered: Lot[] = [];
  let at = 0;
  let step = 1;
  while (ordered.length < lots.length) {
    const lot = queues[at]!.shift();
    if (lot) ordered.push(lot);
    const turns = at + step < 0 || at + step >= queues.length;
    if (turns) step = -step;
    if (queues.length > 1 && !(turns && twice)) at += step;
  }
  return ordered;
}

/** Whether lots can be put in an order in which no station (or, at a single one, nothing) comes twice running. */
export function canAlternate(lots: readonly Lot[]): boolean {
  const queues = byStation(lots);
  return queues.length === 1 || Math.max(0, ...queues.map((queue) => queue.length)) <= Math.ceil(lots.length / 2);
}

/**
 * Shuffled, and never the same station twice running, as far as `canAlternate`. Each next station is drawn with a
 * chance by the balls it has left, among those after which the rest can still alternate.
 */
function neverTwiceRunning(lots: readonly Lot[], seed: number): Lot[] {
  const random = storedOrders(seed);
  const queues = byStation(lots).map((queue) => shuffled(queue, random));
  const ordered: Lot[] = [];
  let last: Lot[] | null = null;
  while (ordered.length < lots.length) {
    const left = lots.length - ordered.length;
    const full = queues.filter((queue) => queue.length > 0);
    const largest = full.reduce((a, b) => (b.length > a.length ? b : a));
    const free: Lot[][] = full.length === 1 ? full : full.filter((queue) => queue !== last);
    // With half of the rest or more, the largest is due now: later it could no longer be kept apart.
    const due: Lot[][] = largest !== last && largest.length * 2 > left ? [largest] : free;
    const total = due.reduce((sum, queue) => sum + queue.length, 0);
    let draw = random.below(total);
    const next = due.find((queue) => (draw -= queue.length) < 0)!;
    ordered.push(next.shift()!);
    last = next;
  }
  return ordered;
}

/** Fisher and Yates. */
function shuffled<T>(entries: readonly T[], random: { below(n: number): number }): T[] {
  const mixed = [...entries];
  for (let i = mixed.length - 1; i > 0; i--) {
    const j = random.below(i + 1);
    [mixed[i], mixed[j]] = [mixed[j]!, mixed[i]!];
  }
  return mixed;
}

/**
 * The order in which clubs can be played so that no two neighbours follow each other: every second one, then the rest.
 * @returns positions in the list; null for fewer than four clubs, where it can't be done
 */
export function apart(clubs: number): number[] | null {
  if (clubs < 4) return null;
  const all = Array.from({ length: clubs }, (_, i) => i);
  return [...all.filter((i) => i % 2 === 1), ...all.filter((i) => i % 2 === 0)];
}

/** The seed of a session, from its id: the same on every device. */
export const seedOf = hash32;
