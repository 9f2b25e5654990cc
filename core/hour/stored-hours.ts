import { documentKind } from '../document';
import type { Hour } from './hour';
import type { Run } from './run-schema';
import { HOUR_STEPS, RUN_STEPS } from './steps';

/** Hours that were stored. */
export const storedHours = documentKind<Hour>(HOUR_STEPS);
/** Runs that were stored. */
export const storedRuns = documentKind<Run>(RUN_STEPS);
