import type { Measure } from './words';

/** By how much a way of measuring blurs a distance, as a standard deviation of its logarithm. A judgement. */
export const BLUR: Readonly<Record<Measure, number>> = { tape: 0.02, laser: 0.03, pace: 0.1, eye: 0.2, ring: 0 };
