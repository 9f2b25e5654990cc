import { documentKind } from '../document';
import { WEEKS_STEPS } from './steps';
import type { Weeks } from './weeks';

/** Planned weeks that were stored. */
export const storedWeeks = documentKind<Weeks>(WEEKS_STEPS);
