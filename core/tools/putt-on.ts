import { dot, leftOf, unit, distance, along, type Point } from '../geometry/point';
import { gradientAt } from '../green/slope';
import type { GreenPlan } from '../green/plan';
import type { PuttGround } from '../physics/putt';
import { USUAL_STIMP_FT } from './terrain';

/** Within so many metres a green lies the same. */
const SQUARE_M = 0.25;

/** A putt on a plan of a green: how far, and how the green lies on its way, seen from the ball. */
export function puttOn(plan: Pick<GreenPlan, 'slope' | 'stimpFt'>, ball: Point, hole: Point): { distanceM: number; ground: PuttGround } {
  const ahead = unit(ball, hole);
  const left = leftOf(ahead);
  const gradientHere = gradientAt(plan.slope);
  // A putt is rolled a thousand times over the same ground: its squares are remembered.
  const known = new Map<string, Point>();
  const gradient = ([x, y]: Point): Point => {
    const [column, row] = [Math.round(x / SQUARE_M), Math.round(y / SQUARE_M)];
    const square = `${column}|${row}`;
    let found = known.get(square);
    if (!found) known.set(square, (found = gradientHere([column * SQUARE_M, row * SQUARE_M])));
    return found;
  };
  return {
    distanceM: distance(ball, hole),
    ground: {
      stimpFt: plan.stimpFt ?? USUAL_STIMP_FT,
      slopeAt: ([right, y]) => {
        const here = gradient(along(along(ball, ahead, y), left, -right));
        return [-dot(here, left), dot(here, ahead)];
      },
    },
  };
}
