import { documentKind, type Step } from '../document';
import type { Hour } from './hour';

/** How the shape of hours changed, step by step. */
const STEPS: readonly Step[] = [];
/** The version of a planned hour that this program writes. */
export const HOUR_VERSION = STEPS.length + 1;
/** Hours that were stored. */
export const storedHours = documentKind<Hour>(STEPS);
