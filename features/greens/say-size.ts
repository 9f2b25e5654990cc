import { areaOf, boxOf, type Outline } from '@/core/geometry/polygon';
import { fromMetres, METRES_PER, type UnitSystem } from '@/core/units/length';

/** "24 by 18 yd, 410 yd²": how large a shape is. */
export function saySize(outline: Outline, system: UnitSystem): string {
  if (outline.length < 3) return 'no outline yet';
  const { min, max } = boxOf(outline);
  const unit = system === 'metric' ? 'm' : 'yd';
  const across = (i: 0 | 1) => Math.round(fromMetres(max[i] - min[i], unit));
  return `${across(0)} by ${across(1)} ${unit}, ${Math.round(areaOf(outline) / METRES_PER[unit] ** 2)} ${unit}²`;
}
