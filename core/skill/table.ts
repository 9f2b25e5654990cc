import { bandAt, type Band } from '../golf/bands';
import type { ShotType, Surface } from '../golf/words';
import { holedIn, isEvidence, leftInterval } from '../shot/evidence';
import { withFinishing } from '../shot/finishing';
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
  /**
   * Mean strokes lost against the level, per shot, and of how many balls; null where none can be set against it.
   * `give`: the mean lies within this much of the truth in eight rows of ten, if balls vary as these did (1.28 standard
   * errors); null for a thin row, which says nothing about its own spread.
   */
  lost: { perShot: number; of: number; give: number | null } | null;
  thin: boolean;
};

/**
 * Where the strokes go, by shot type, surface and distance band: worst first, thin rows after the rest. A first, plain
 * answer: every row stands on its own balls alone.
 * @param shots one player's balls; those that are no evidence are left out, and the putts inside records of strokes count
 * @param insideM the chosen distance, in metres
 */
export function skillTable(shots: readonly Shot[], level: number, reference: Reference, insideM: number): SkillRow[] {
  const cells = new Map<string, { band: Band; shots: Shot[] }>();
  for (const shot of withFinishing(shots)) {
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
    lost: meanLost(losses),
    thin: shots.length < THIN_BELOW,
  };
}

/** Two-sided 80% point of the standard normal distribution. */
const Z80 = 1.2815515655446004;

function meanLost(losses: readonly number[]): SkillRow['lost'] {
  const of = losses.length;
  if (of === 0) return null;
  const perShot = losses.reduce((a, b) => a + b, 0) / of;
  if (of < THIN_BELOW) return { perShot, of, give: null };
  const variance = losses.reduce((sum, lost) => sum + (lost - perShot) ** 2, 0) / (of - 1);
  return { perShot, of, give: Z80 * Math.sqrt(variance / of) };
}

/** The worst row that is not thin, and those that could be as bad: their means reach its own within what both give. */
export function worstOf(rows: readonly SkillRow[]): { row: SkillRow; near: SkillRow[] } | null {
  const full = rows.filter((row) => row.lost?.give != null);
  const row = full[0];
  if (!row?.lost || row.lost.perShot <= 0) return null;
  const { perShot, give } = row.lost;
  const near = full.slice(1).filter(({ lost }) => perShot - lost!.perShot < Math.hypot(give!, lost!.give!));
  return { row, near };
}

function worstFirst(a: SkillRow, b: SkillRow): number {
  if (a.thin !== b.thin) return a.thin ? 1 : -1;
  return (b.lost?.perShot ?? -Infinity) - (a.lost?.perShot ?? -Infinity) || b.balls - a.balls;
}
