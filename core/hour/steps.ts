import type { Step } from '../document';

/** How the shape of hours changed, step by step, and the version that this program writes. */
export const HOUR_STEPS: readonly Step[] = [];
export const HOUR_VERSION = HOUR_STEPS.length + 1;

/** The same of runs. */
export const RUN_STEPS: readonly Step[] = [];
export const RUN_VERSION = RUN_STEPS.length + 1;
