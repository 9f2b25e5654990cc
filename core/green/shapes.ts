import { boxOf, type Outline } from '../geometry/polygon';
import { along, ofBearing, snapPoint, type Point } from '../geometry/point';

/** Shapes from which a green can be started. */
export const START_SHAPES = ['round', 'oval', 'kidney', 'pear', 'square'] as const;
export type StartShape = (typeof START_SHAPES)[number];

const STEPS = 48;

/** How far a shape reaches from its middle by compass bearing, as a part of its size. */
const RADIUS: Readonly<Record<Exclude<StartShape, 'square'>, (deg: number) => number>> = {
  round: () => 1,
  oval: () => 1,
  kidney: (deg) => 1 - 0.46 * Math.exp(-(((((deg - 180 + 540) % 360) - 180) / 38) ** 2)),
  pear: (deg) => 1 - 0.24 * Math.sin((deg * Math.PI) / 180) ** 2 + 0.16 * Math.sin((deg * Math.PI) / 180),
};

/**
 * A shape of a given size round the origin.
 * @param lengthM across, left to right
 * @param widthM up and down the plan; a round shape and a square take it from the length
 */
export function startShape(shape: StartShape, lengthM: number, widthM: number): Outline {
  const points: Point[] =
    shape === 'square'
      ? [
          [-1, -1],
          [1, -1],
          [1, 1],
          [-1, 1],
        ]
      : Array.from({ length: STEPS }, (_, i) => along([0, 0], ofBearing((i * 360) / STEPS), RADIUS[shape]((i * 360) / STEPS)));
  const { min, max } = boxOf(points);
  const high = shape === 'round' || shape === 'square' ? lengthM : widthM;
  return points.map(([x, y]) =>
    snapPoint([((x - min[0]) / (max[0] - min[0]) - 0.5) * lengthM, ((y - min[1]) / (max[1] - min[1]) - 0.5) * high]),
  );
}

/** The eight compass points in the order in which they are walked, and their bearings on the plan. */
export const COMPASS = ['N', 'NE', 'E', 'SE', 'S', 'SW', 'W', 'NW'] as const;

/**
 * The outline of a green of which somebody walked from a hole to the edge in the eight compass directions. Between
 * them the edge runs smoothly (a closed Catmull-Rom curve through the distances); equal distances make a circle.
 * @param edgesM metres from the hole to the edge, north first, clockwise
 * @returns the outline, with the hole at the origin and north up the plan
 */
export function pacedOutline(edgesM: readonly number[]): Outline {
  const n = edgesM.length;
  const at = (i: number) => edgesM[(i + n) % n]!;
  const between = STEPS / n;
  return Array.from({ length: STEPS }, (_, step) => {
    const i = Math.floor(step / between);
    const t = (step - i * between) / between;
    const [a, b, c, d] = [at(i - 1), at(i), at(i + 1), at(i + 2)];
    const radius = 0.5 * (2 * b + (c - a) * t + (2 * a - 5 * b + 4 * c - d) * t * t + (3 * b - a - 3 * c + d) * t ** 3);
    return snapPoint(along([0, 0], ofBearing((step * 360) / STEPS), Math.max(0.3, radius)));
  });
}
