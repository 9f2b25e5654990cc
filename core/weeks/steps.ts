import type { Step } from '../document';

/** How the shape of planned weeks changed, step by step, and the version that this program writes. */
export const WEEKS_STEPS: readonly Step[] = [];
export const WEEKS_VERSION = WEEKS_STEPS.length + 1;
