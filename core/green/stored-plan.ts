import { lifted, type Step } from '../document';
import type { GreenPlan } from './plan';

/** How the shape of greens changed, step by step. */
const STEPS: readonly Step[] = [];

/** A green that was stored, in the present shape. */
export function storedPlan(document: unknown): GreenPlan {
  return lifted(document, STEPS) as GreenPlan;
}
