import type { Surface } from '../golf/words';
import type { Reference } from '../golf/reference';

/** Strokes to hole out from where a ball stopped: the surface, and metres from the hole. */
export type StrokesAfter = (surface: Surface, leftM: number) => number;

/** Distances at which the strokes are kept at hand: between them they are read linearly in the logarithm. */
const FROM_M = 0.05;
const POINTS = 120;
const STEP = Math.log(120 / FROM_M) / (POINTS - 1);

const SURFACES: readonly Surface[] = ['green', 'fringe', 'fairway', 'light_rough', 'heavy_rough', 'bare', 'sand'];

/**
 * What is still needed by a player of a level: putts on the green, the next chip or bunker shot off it; from the fringe whichever of putter
 * and chip needs fewer.
 */
export function strokesAfter(reference: Reference, level: number): StrokesAfter {
  const tables = new Map<Surface, Float64Array>();
  for (const surface of SURFACES)
    tables.set(
      surface,
      Float64Array.from({ length: POINTS }, (_, i) => nextFrom(reference, level, surface, FROM_M * Math.exp(i * STEP))),
    );
  return (surface, leftM) => {
    const table = tables.get(surface)!;
    const place = Math.min(POINTS - 1.000001, Math.max(0, Math.log(Math.max(FROM_M, leftM) / FROM_M) / STEP));
    const low = Math.floor(place);
    return table[low]! + (place - low) * (table[low + 1]! - table[low]!);
  };
}

function nextFrom(reference: Reference, level: number, surface: Surface, leftM: number): number {
  if (surface === 'green') return reference.putts(level, leftM);
  if (surface === 'sand') return reference.shot(level, 'bunker', surface, leftM)!.expectedStrokes;
  const chip = reference.shot(level, 'chip', surface, leftM)!.expectedStrokes;
  return surface === 'fringe' ? Math.min(chip, reference.shot(level, 'fringe_putt', surface, leftM)!.expectedStrokes) : chip;
}
