/** Metres in one of each unit; all exact by definition of the international yard. */
export const METRES_PER = { m: 1, yd: 0.9144, ft: 0.3048, in: 0.0254 } as const;

export type LengthUnit = keyof typeof METRES_PER;

/** Which family of units somebody reads: feet and yards, or metres. */
export const UNIT_SYSTEMS = ['imperial', 'metric'] as const;
export type UnitSystem = (typeof UNIT_SYSTEMS)[number];

/**
 * Snaps a length to the grid on which lengths are stored: 0.0001 m, where every inch, foot and yard is exact.
 * @param metres a finite length in metres
 */
export function snap(metres: number): number {
  return Math.round(metres * 1e4) / 1e4;
}

/**
 * A length in metres, snapped to the storage grid.
 * @param value a finite number of `unit`s
 */
export function toMetres(value: number, unit: LengthUnit): number {
  return snap(value * METRES_PER[unit]);
}

/**
 * A length in another unit, rounded to 3 decimals so that `fromMetres(toMetres(v, u), u)` gives back any `v` with up
 * to two decimals exactly.
 * @param metres a finite length in metres
 */
export function fromMetres(metres: number, unit: LengthUnit): number {
  return Math.round((metres / METRES_PER[unit]) * 1e3) / 1e3;
}
