import { toMetres, fromMetres, type UnitSystem } from '../../units/length';
import type { Scoring } from '.';

/** Rings in shares of what half of the balls finish inside, with their points. */
const RINGS = [
  [0.5, 4],
  [1, 2],
  [1.75, 1],
] as const;
const HOLED = 6;

/**
 * Points for three rings about the distance that half of the balls finish inside, each wider than the one before; in whole feet, or tenths of
 * a metre.
 * @param medianM metres
 */
export function ringsAbout(medianM: number, units: UnitSystem): Scoring {
  const [unit, step] = units === 'metric' ? (['m', 0.1] as const) : (['ft', 1] as const);
  let before = 0;
  const rings = RINGS.map(([share, points], i) => {
    const size = Math.max(before + step, Math.round((share * fromMetres(medianM, unit)) / step) * step);
    before = size;
    return { key: `r${i + 1}`, radiusM: toMetres(Number(size.toFixed(1)), unit), points };
  });
  return { scheme: 'ring_points', holedPoints: HOLED, rings };
}
