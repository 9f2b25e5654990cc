import type { Shot } from './shot';

const QUARTERS = ['long', 'right', 'short', 'left'] as const;
const EIGHTHS = ['long', 'long right', 'right', 'short right', 'short', 'short left', 'left', 'long left'] as const;

/** A bearing in words: 0 is "long" (beyond the hole), 90 "right", 180 "short", 270 "left", with the corners between. */
export function sayBearing(bearingDeg: number): (typeof EIGHTHS)[number] {
  return EIGHTHS[Math.round((((bearingDeg % 360) + 360) % 360) / 45) % 8]!;
}

/** The quarter that a bearing lies in, in a word. */
export function sayQuarter(bearingDeg: number): (typeof QUARTERS)[number] {
  return QUARTERS[Math.round(bearingDeg / 90) % 4]!;
}

/** Where most balls missed: the word, how many, and of how many with a known direction. */
export type MissDirection = { word: (typeof QUARTERS)[number]; balls: number; of: number };

/**
 * The quarter into which more than half of the missed balls went.
 * @returns null where no quarter has more than half, or fewer than four directions are known
 */
export function missDirection(shots: readonly Pick<Shot, 'holed' | 'bearingDeg'>[]): MissDirection | null {
  const bearings = shots.flatMap(({ holed, bearingDeg }) => (holed || bearingDeg === null ? [] : [bearingDeg]));
  if (bearings.length < 4) return null;
  const counts = QUARTERS.map((word, i) => ({
    word,
    balls: bearings.filter((bearing) => Math.round(bearing / 90) % 4 === i).length,
    of: bearings.length,
  }));
  return counts.find(({ balls, of }) => balls * 2 > of) ?? null;
}
