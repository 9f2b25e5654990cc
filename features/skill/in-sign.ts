import type { StrokesAs } from '@/core/units/strokes';

/** Strokes lost in a period, as a chart draws them in the chosen sign. */
export function inSign(point: { at: number; mean: number; low: number; high: number }, strokes: StrokesAs) {
  const { at: x, mean, low, high } = point;
  return strokes === 'lost' ? { x, middle: mean, low, high } : { x, middle: -mean, low: -high, high: -low };
}
