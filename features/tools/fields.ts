import { MPH } from '@/core/units/speed';
import type { UnitSystem } from '@/core/units/length';

/** Whether something was typed, and lies between two figures. */
export const within = (value: number | null | undefined, low: number, high: number): value is number =>
  value != null && value >= low && value <= high;

/** In what fields of the tools are typed that are no lengths. */
export const PERCENT_UPHILL = { word: '%, + uphill', metres: 0.01 } as const;
export const PERCENT_RIGHT = { word: '%, + high on the right', metres: 0.01 } as const;
export const STIMP = { word: 'ft', metres: 1 } as const;
export const PLAIN = { word: '', metres: 1 } as const;
export const windUnit = (units: UnitSystem) =>
  units === 'metric' ? { word: 'm/s, + helps', metres: 1 } : { word: 'mph, + helps', metres: MPH };

/** What figures have to be, as it stands beside their fields. */
export const FAULTS = {
  stimp: 'A green speed is 3 to 16 ft.',
  slope: 'At most 10%.',
  wind: 'At most 33 mph (15 m/s).',
  rise: 'At most 26 ft (8 m) up or down.',
} as const;

export const percent = (share: number) => `${Math.round(100 * share)}%`;
