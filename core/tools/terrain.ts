import type { Stretch } from '../physics/ground';
import type { Sit, Stance, Surface } from '../golf/words';
import { contains } from '../geometry/polygon';
import { along, distance, dot, leftOf, unit, type Point } from '../geometry/point';
import { groundAt } from '../green/ground';
import { lineOfPlay } from '../green/line';
import type { GreenPlan } from '../green/plan';
import { gradientOf } from '../green/slope';
import type { LandingPlace } from './landing-place';
import { lyingOf } from './lying';

/**
 * What lies round a shot, seen from the ball towards the hole: metres along that line and to its right.
 */
export type Terrain = {
  distanceM: number;
  surfaceAt: (along: number, right: number) => Surface;
  /** What lies on a straight line from the ball, so many degrees to the right of the hole. */
  lineTo: (rightDeg: number) => Stretch[];
};

/** So far beyond the hole the ground is looked at, in metres: what lies there lies on for ever. */
const BEYOND_M = 40;
/** Edges are looked for in steps of so many metres, and then found to a millimetre. */
const STEP_M = 0.1;

/** The stretches of a line, as its surface changes. */
function stretchesOf(surfaceAt: (x: number) => Surface, lies: Pick<Stretch, 'slope' | 'side'>, toM: number): Stretch[] {
  const stretches: Stretch[] = [];
  for (let x = STEP_M; x < toM; x += STEP_M) {
    const [before, now] = [surfaceAt(x - STEP_M + 1e-4), surfaceAt(x + 1e-4)];
    if (before === now) continue;
    let [low, high] = [x - STEP_M + 1e-4, x + 1e-4];
    while (high - low > 1e-3) {
      const middle = (low + high) / 2;
      if (surfaceAt(middle) === before) low = middle;
      else high = middle;
    }
    stretches.push({ toM: high, surface: before, ...lies });
  }
  return [...stretches, { toM: Infinity, surface: surfaceAt(toM), ...lies }];
}

/** A place that was described in a few figures: alike to the left and to the right, the green as broad as it is wanted. */
export function terrainOf({ distanceM, edgeM, fringeM, beyondM, slope, sideSlope: side, riseM, lie }: LandingPlace): Terrain {
  const [fringeFrom, backEdge] = [Math.max(0, edgeM - fringeM), distanceM + beyondM];
  const surfaceAt = (x: number): Surface => {
    if (x >= edgeM && x < backEdge) return 'green';
    if (x >= fringeFrom && x < backEdge + fringeM) return 'fringe';
    return x < fringeFrom ? lie : 'light_rough';
  };
  const stretches: Stretch[] = [];
  const approach = edgeM > 0 ? riseM / edgeM : 0;
  if (fringeFrom > 0) stretches.push({ toM: fringeFrom, surface: lie, slope: approach });
  if (edgeM > fringeFrom) stretches.push({ toM: edgeM, surface: 'fringe', slope: approach });
  stretches.push({ toM: backEdge, surface: 'green', slope, side });
  if (fringeM > 0) stretches.push({ toM: backEdge + fringeM, surface: 'fringe', slope, side });
  stretches.push({ toM: Infinity, surface: 'light_rough', slope, side });
  return { distanceM, surfaceAt, lineTo: () => stretches };
}

/** Surfaces are remembered by squares of so many metres: balls by the thousand stop on a few of them. */
const SQUARE_M = 0.2;
const FROM_M = -50;
const SQUARES = 1000;

function remembered(surfaceAt: (x: number, right: number) => Surface): (x: number, right: number) => Surface {
  const known = new Map<number, Surface>();
  return (x, right) => {
    const [column, row] = [Math.floor((x - FROM_M) / SQUARE_M), Math.floor((right - FROM_M) / SQUARE_M)];
    const square = row * SQUARES + column;
    let surface = known.get(square);
    if (!surface) known.set(square, (surface = surfaceAt((column + 0.5) * SQUARE_M + FROM_M, (row + 0.5) * SQUARE_M + FROM_M)));
    return surface;
  };
}

type PlanGround = Pick<GreenPlan, 'outline' | 'fringeM' | 'areas' | 'around' | 'slope'>;

/** A shot on a plan of a green. */
export function terrainOn(plan: PlanGround, ball: Point, hole: Point): Terrain {
  const forward = unit(ball, hole);
  const rightward = leftOf(forward).map((x) => -x) as unknown as Point;
  const gradient = gradientOf(plan.slope);
  const distanceM = distance(ball, hole);
  const at = (x: number, right: number) => along(along(ball, forward, x), rightward, right);
  return {
    distanceM,
    surfaceAt: remembered((x, right) => groundAt(plan, at(x, right))),
    lineTo: (rightDeg) => {
      const angle = (rightDeg * Math.PI) / 180;
      const towards = unit(ball, at(Math.cos(angle), Math.sin(angle)));
      const lies = { slope: dot(gradient, towards), side: -dot(gradient, leftOf(towards)) };
      return stretchesOf((x) => groundAt(plan, along(ball, towards, x)), lies, distanceM + BEYOND_M);
    },
  };
}

/** The figures of a shot on a plan: what somebody would type who stood there. */
export function placeOn(
  plan: PlanGround & Pick<GreenPlan, 'stimpFt' | 'firmness'>,
  ball: Point,
  hole: Point,
  lies: { lie: LandingPlace['lie']; sit: Sit; stance: Stance },
): LandingPlace {
  const line = lineOfPlay(plan, ball, hole);
  const forward = unit(ball, hole);
  let beyondM = 0;
  while (beyondM < BEYOND_M && contains(plan.outline, along(hole, forward, beyondM + STEP_M))) beyondM += STEP_M;
  return {
    distanceM: line.distanceM,
    edgeM: line.edgeM,
    fringeM: plan.fringeM,
    beyondM,
    slope: line.uphill,
    sideSlope: -dot(gradientOf(plan.slope), leftOf(forward)),
    riseM: line.uphill * line.edgeM,
    lie: lies.lie,
    ...lyingOf(lies),
    stimpFt: plan.stimpFt ?? USUAL_STIMP_FT,
    firmness: plan.firmness ?? 'medium',
    windMs: 0,
  };
}

/** How fast a green is taken to be where nobody said, in feet. */
export const USUAL_STIMP_FT = 9;
