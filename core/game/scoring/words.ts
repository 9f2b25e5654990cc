import { formatLeft, formatLength, leftUnit } from '../../units/format';
import { toMetres, type UnitSystem } from '../../units/length';
import { sayRadius, type Sizes } from '../sizes';

/** How the lengths of a game are said to one reader. */
export type Words = {
  /** "6 ft", "2 clubs". */
  radius(metres: number): string;
  /** "inside 6 ft"; of none, "in the hole". */
  inside(metres: number): string;
  /** How far out balls are measured: "30 ft". */
  far(metres: number): string;
  /** A length as a score, and its share of one ball: "110 ft", "5 ft 6". */
  left(metres: number): string;
  each(totalM: number, balls: number): string;
};

export function wordsFor(sizes: Sizes, system: UnitSystem): Words {
  const radius = (metres: number) => sayRadius(metres, sizes, system);
  const left = (metres: number) => formatLeft(metres, system);
  return {
    radius,
    inside: (metres) => (metres === 0 ? 'in the hole' : `inside ${radius(metres)}`),
    far: (metres) => formatLength(metres, leftUnit(system)),
    left,
    each: (totalM, balls) => left(toMetres(totalM / balls, 'm')),
  };
}
