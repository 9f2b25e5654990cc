import { documentKind, type Step } from '../document';
import type { Run } from './run-schema';

/** How the shape of runs changed, step by step. */
const STEPS: readonly Step[] = [];
/** The version of a run that this program writes. */
export const RUN_VERSION = STEPS.length + 1;
/** Runs that were stored. */
export const storedRuns = documentKind<Run>(STEPS);
