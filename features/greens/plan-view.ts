import { boxOf } from '@/core/geometry/polygon';
import type { Point } from '@/core/geometry/point';
import type { GreenPlan } from '@/core/green/plan';

/** What part of a plan is drawn: its middle, pixels per metre, and the size of the drawing in pixels. */
export type PlanView = { middle: Point; perM: number; wide: number; high: number };

/** From metres on the plan to pixels of the drawing. */
export function toPixels({ middle, perM, wide, high }: PlanView, [x, y]: Point): Point {
  return [wide / 2 + (x - middle[0]) * perM, high / 2 - (y - middle[1]) * perM];
}

/** From pixels of the drawing to metres on the plan. */
export function toPlan({ middle, perM, wide, high }: PlanView, [x, y]: Point): Point {
  return [middle[0] + (x - wide / 2) / perM, middle[1] - (y - high / 2) / perM];
}

const [LEAST_PER_M, MOST_PER_M] = [1.2, 160];

/** The view zoomed about a point of the drawing, which stays where it is. */
export function zoomed(view: PlanView, factor: number, at: Point = [view.wide / 2, view.high / 2]): PlanView {
  const perM = Math.min(MOST_PER_M, Math.max(LEAST_PER_M, view.perM * factor));
  const held = toPlan(view, at);
  const middle: Point = [held[0] - (at[0] - view.wide / 2) / perM, held[1] + (at[1] - view.high / 2) / perM];
  return { ...view, perM, middle };
}

/** The view moved by so many pixels. */
export function panned(view: PlanView, [dx, dy]: Point): PlanView {
  return { ...view, middle: [view.middle[0] - dx / view.perM, view.middle[1] + dy / view.perM] };
}

/** The view in a place of another size: what was seen is still seen. */
export function resized(view: PlanView, wide: number, high: number): PlanView {
  if (view.wide === wide && view.high === high) return view;
  return { ...view, wide, high, perM: view.perM * Math.min(wide / view.wide, high / view.high) };
}

/** The view in which the whole plan is seen, with room round it for stations. */
export function fitted(
  plan: Pick<GreenPlan, 'outline' | 'fringeM' | 'areas' | 'stations' | 'groups'>,
  wide: number,
  high: number,
  roomM = 7,
): PlanView {
  const points = [
    ...plan.outline,
    ...plan.areas.flatMap((area) => area.outline),
    ...plan.stations.map(({ at }) => at),
    ...plan.groups.map(({ at }) => at),
  ];
  if (points.length === 0) return { middle: [0, 0], perM: Math.min(wide, high) / 40, wide, high };
  const { min, max } = boxOf(points);
  const [w, h] = [max[0] - min[0] + 2 * roomM, max[1] - min[1] + 2 * roomM];
  return { middle: [(min[0] + max[0]) / 2, (min[1] + max[1]) / 2], perM: Math.min(wide / w, high / h, MOST_PER_M), wide, high };
}
