import type { GreenPlan } from './plan';

/** What a plan says about the day, until somebody says more: the speed of the green in feet, and how firm it is. */
export function dayOnGreen({ stimpFt, firmness }: Pick<GreenPlan, 'stimpFt' | 'firmness'>) {
  return { ...(stimpFt === null ? {} : { stimpFt }), ...(firmness === null ? {} : { firmness }) };
}
