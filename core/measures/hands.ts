import { listed } from '../units/format';
import { METRES_PER, snap, type UnitSystem } from '../units/length';
import { CLUB_M, FLAGSTICK_M, PACE_M, PUTTER_M } from './sticks';

/** What somebody measures with, in metres; null for what nobody measured. */
export type Measures = { paceM: number | null; clubM: number | null; putterM: number | null; flagstickM: number | null };

/** The same with ordinary lengths where nobody measured. */
export function known(measures: Measures): Record<keyof Measures, number> {
  return {
    paceM: measures.paceM ?? PACE_M,
    clubM: measures.clubM ?? CLUB_M,
    putterM: measures.putterM ?? PUTTER_M,
    flagstickM: measures.flagstickM ?? FLAGSTICK_M,
  };
}

const COUNTS = ['', '', 'two', 'three', 'four'];
const counted = (n: number, one: string, many: string) => (n === 0 ? '' : n === 1 ? one : `${COUNTS[n]} ${many}`);

/** Parts of a stick that can be judged by eye, the plainest first: as said alone, and after a whole one. */
const PARTS: readonly (readonly [part: number, alone: string, after: string])[] = [
  [0, '', ''],
  [1 / 2, 'half', 'a half'],
  [1 / 3, 'a third of', 'a third'],
  [2 / 3, 'two thirds of', 'two thirds'],
  [1 / 4, 'a quarter of', 'a quarter'],
  [3 / 4, 'three quarters of', 'three quarters'],
];
/** As near as a stick laid on grass can be: a thirtieth of the length, from one inch to two. */
const nearM = (lengthM: number) => Math.max(METRES_PER.in, Math.min(2 * METRES_PER.in, lengthM / 30)) + 1e-6;

/**
 * A length as it is laid out with flagsticks first and then clubs, or putters: "a flagstick and two thirds of a club".
 * Of all that come near enough the plainest, of equally plain ones the nearest.
 * @returns null where nothing comes near enough
 */
export function inSticks(lengthM: number, measures: Measures): string | null {
  const own = known(measures);
  const short = [
    [own.clubM, 'a club', 'clubs', 0],
    [own.putterM, 'a putter', 'putters', 0.4],
  ] as const;
  let best: { words: string; worth: number } | null = null;
  for (let flags = 0; flags <= 4; flags++)
    for (const [stickM, one, many, odd] of short)
      for (let n = 0; n <= 4; n++)
        for (const [i, [part, alone, after]] of PARTS.entries()) {
          const missM = Math.abs(flags * own.flagstickM + (n + part) * stickM - lengthM);
          if (flags + n + part === 0 || missM > nearM(lengthM)) continue;
          const worth = flags + n + (part === 0 ? 0 : 0.8 + 0.3 * i) + (n + part === 0 ? 0 : odd) + missM / nearM(lengthM);
          if (best && worth >= best.worth) continue;
          const rest = part === 0 ? '' : n > 0 ? after : `${alone} ${one}`;
          const words = [counted(flags, 'a flagstick', 'flagsticks'), counted(n, one, many), rest].filter(Boolean);
          best = { words: listed(words), worth };
        }
  return best?.words ?? null;
}

/** A distance in somebody's paces, to the nearest half: "16 ½"; short ones as they are. */
export function inPaces(lengthM: number, paceM: number): string {
  const halves = Math.round((lengthM / paceM) * 2);
  const whole = Math.floor(halves / 2);
  return halves % 2 === 0 ? String(whole) : whole === 0 ? '½' : `${whole}½`;
}

/** "1 pace", "16 paces", "2½ paces". */
export function sayPaces(lengthM: number, paceM: number): string {
  const n = inPaces(lengthM, paceM);
  return `${n} pace${n === '1' || n === '½' ? '' : 's'}`;
}

/** The pace of somebody who counted their paces over a known distance, in metres on the storage grid. */
export function paceFrom(walkedM: number, paces: number): number {
  return snap(walkedM / paces);
}

/** The distance over which a pace is measured. */
export function calibrationM(system: UnitSystem): number {
  return 20 * (system === 'metric' ? 1 : METRES_PER.yd);
}
