import { greenPlanSchema, type GreenPlan } from '../green/plan';
import type { Point } from '../geometry/point';
import type { Outline } from '../geometry/polygon';

/** An upright box by its lower left corner. */
export const box = (x: number, y: number, wide: number, high: number): Outline => [
  [x, y],
  [x + wide, y],
  [x + wide, y + high],
  [x, y + high],
];

/**
 * A square green of 20 m round the origin with a fringe of 1 m, in light rough; hole A in its middle, B 2 m from the
 * right edge; a bunker of 4 by 4 m below, from 13 to 17 m under the middle.
 */
export function green(more: Partial<GreenPlan> = {}): GreenPlan {
  return greenPlanSchema.parse({
    format: 'inch-green',
    version: 1,
    title: 'Square',
    outline: box(-10, -10, 20, 20),
    fringeM: 1,
    areas: [{ key: 'a1', kind: 'sand', outline: box(-2, -17, 4, 4) }],
    holes: [
      { key: 'h1', label: 'A', at: [0, 0] },
      { key: 'h2', label: 'B', at: [8, 0] },
    ],
    ...more,
  });
}

/** A station of a plan, as a coach puts it down. */
export const standing = (key: string, at: Point, hole = 'h1', more: Partial<GreenPlan['stations'][number]> = {}) =>
  ({ key, at, hole, surface: null, sit: 'clean', stance: 'flat', shotType: null, ...more }) as const;
