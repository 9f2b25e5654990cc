import { METRES_PER, type UnitSystem } from '@/core/units/length';

/** How a ruler is divided: its unit, the labelled steps and the small ones, in that unit. */
export type Division = { unit: 'ft' | 'm'; unitM: number; step: number; small: number };

const STEPS = { imperial: [1, 2, 5, 10, 20, 50], metric: [0.5, 1, 2, 5, 10, 20] } as const;

/** Divides a ruler of some length so that at most `labels` labels stand on it. */
export function divide(lengthM: number, system: UnitSystem, labels: number): Division {
  const unit = system === 'metric' ? 'm' : 'ft';
  const unitM = METRES_PER[unit];
  const steps = STEPS[system];
  const step = steps.find((candidate) => lengthM / unitM / candidate <= labels) ?? steps.at(-1)!;
  return { unit, unitM, step, small: step / (step >= 10 ? 5 : 4) };
}

/** The marks of a ruler from 0 to its end: where, and whether the mark is a labelled one. */
export function marks(lengthM: number, { unitM, step, small }: Division): { atM: number; label: string | null }[] {
  const count = Math.floor(lengthM / unitM / small + 1e-9);
  return Array.from({ length: count + 1 }, (_, i) => {
    const value = i * small;
    const labelled = Math.abs(value / step - Math.round(value / step)) < 1e-6;
    return { atM: value * unitM, label: labelled ? String(Math.round(value * 100) / 100) : null };
  });
}
