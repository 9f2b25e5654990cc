import { isPutt } from '../golf/shot-types';
import { bandAt, type Band } from '../golf/bands';
import { SHOT_TYPES, SURFACES, type ShotType, type Surface } from '../golf/words';
import { METRES_PER } from '../units/length';
import type { Reference } from '../golf/reference';

/** Names the skill cell of a shot: "pitch|light_rough|20". */
export function cellKey(shotType: ShotType, surface: Surface, distanceM: number): string {
  return `${shotType}|${surface}|${bandAt(shotType, distanceM)?.min ?? 'far'}`;
}

/** A skill cell: every shot that can be recorded has one. */
export type Cell = {
  key: string;
  shotType: ShotType;
  surface: Surface;
  band: Band;
  /** The distance that stands for it, in metres. */
  distanceM: number;
  /** Whether it comes up in an ordinary round: boards rank such cells, played or not, and others where they were played. */
  inRound: boolean;
};

/** The cells of a reference, in the order of the vocabulary: off the green first, then the putts. */
export function cellsOf(reference: Reference): Cell[] {
  const inRound = new Set(
    reference.table
      .filter((row) => row.uses_per_round > 0)
      .map((row) => cellKey(row.shot_type, row.surface, row.distance * METRES_PER[row.unit])),
  );
  const seen = new Map<string, Cell>();
  for (const row of reference.table) {
    const distanceM = row.distance * METRES_PER[row.unit];
    const band = bandAt(row.shot_type, distanceM);
    const key = cellKey(row.shot_type, row.surface, distanceM);
    if (band && !seen.has(key))
      seen.set(key, { key, shotType: row.shot_type, surface: row.surface, band, distanceM, inRound: inRound.has(key) });
  }
  const rank = (cell: Cell) =>
    (isPutt(cell.shotType) ? 1e6 : 0) + SHOT_TYPES.indexOf(cell.shotType) * 1e4 + SURFACES.indexOf(cell.surface) * 1e3 + cell.band.min;
  return [...seen.values()].sort((a, b) => rank(a) - rank(b));
}
