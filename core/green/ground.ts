import { contains, toEdge } from '../geometry/polygon';
import type { Point } from '../geometry/point';
import type { Surface } from '../golf/words';
import type { GreenPlan } from './plan';

type GreenGround = Pick<GreenPlan, 'outline' | 'fringeM' | 'areas' | 'around'>;

/**
 * What a ball lies on at a place: sand goes before the green, the green before its fringe, the fringe before an area;
 * of areas that overlap the one drawn last.
 */
export function groundAt(plan: GreenGround, at: Point): Surface {
  const over = plan.areas.filter((area) => contains(area.outline, at));
  if (over.some((area) => area.kind === 'sand')) return 'sand';
  if (contains(plan.outline, at)) return 'green';
  if (toEdge(plan.outline, at) <= plan.fringeM) return 'fringe';
  return over.at(-1)?.kind ?? plan.around;
}
