import { documentKind, type Step } from '../document';
import type { GreenPlan } from './plan';

/** How the shape of greens changed, step by step. */
const STEPS: readonly Step[] = [];

/** Greens that were stored. */
export const storedPlans = documentKind<GreenPlan>(STEPS);
