import { bandAt, type Band } from '../golf/bands';
import type { ShotType, Surface } from '../golf/words';
import { holedIn, isEvidence, leftInterval } from '../shot/evidence';
import { medianLeft, type MedianLeft } from '../shot/median-left';
import type { Shot } from '../shot/shot';
import type { Reference } from './reference';
import { strokesLost } from './strokes-lost';

/** Below this many balls a row is marked as thin: it shows what happened, not what somebody can do. */
export const THIN_BELOW = 5;

export type SkillRow = {
  shotType: ShotType;
  surface: Surface;
  band: Band;
  /** Balls that are evidence; every other figure is of these. */
  balls: number;
  holed: number;
  /**
   * The median distance left, in metres, holed ones as 0; for putts, of those missed (the leave). An interval where
   * rings leave it open; null where no ball says anything.
   */
  median: MedianLeft | null;
  /** How many of the balls that say anything finished inside the chosen distance: certainly, and at most. */
  inside: { sure: number; possible: number; of: number };
  /** Mean strokes lost against the level, per shot, and of how many balls; null where none can be set against it. */
  lost: { perShot: number; of: number } | null;
  thin: boolean;
};

/**
 * Where the strokes go, by shot type, surface and distance band: worst first, thin rows after the rest. A first, plain
 * answer: every row stands on its own balls alone.
 * @param shots one player's balls; those that are no evidence are left out
 * @param insideM the chosen distance, in metres
 */
export function skillTable(shots: readonly Shot[], level: number, reference: Reference, insideM: number): SkillRow[] {
  const cells = new Map<string, { band: Band; shots: Shot[] }>();
  for (const shot of shots) {
    const band = bandAt(shot.shotType, shot.distanceM);
    if (!isEvidence(shot) || !band) continue;
    const key = `${shot.shotType}|${shot.surface}|${band.min}`;
    const cell = cells.get(key) ?? { band, shots: [] };
    cell.shots.push(shot);
    cells.set(key, cell);
  }
  return [...cells.values()].map((cell) => skillRow(cell.band, cell.shots, level, reference, insideM)).sort(worstFirst);
}

function skillRow(band: Band, shots: readonly Shot[], level: number, reference: Reference, insideM: number): SkillRow {
  const { shotType, surface } = shots[0]!;
  const left = shots.map(leftInterval).filter((interval) => interval !== null);
  const leaves = shotType === 'putt' ? shots.filter((shot) => !holedIn(shot)).map(leftInterval) : left;
  const losses = shots.map((shot) => strokesLost(shot, level, reference)).filter((lost) => lost !== null);
  return {
    shotType,
    surface,
    band,
    balls: shots.length,
    holed: shots.filter(holedIn).length,
    median: medianLeft(leaves.filter((interval) => interval !== null)),
    inside: {
      sure: left.filter(({ to }) => to <= insideM).length,
      possible: left.filter(({ from, to }) => from < insideM || to <= insideM).length,
      of: left.length,
    },
    lost: losses.length === 0 ? null : { perShot: losses.reduce((a, b) => a + b, 0) / losses.length, of: losses.length },
    thin: shots.length < THIN_BELOW,
  };
}

function worstFirst(a: SkillRow, b: SkillRow): number {
  if (a.thin !== b.thin) return a.thin ? 1 : -1;
  return (b.lost?.perShot ?? -Infinity) - (a.lost?.perShot ?? -Infinity) || b.balls - a.balls;
}
