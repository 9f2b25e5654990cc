import type { Point } from '../geometry/point';
import { ofBearing } from '../geometry/point';
import { GRAVITY, ROLLING, slowing } from '../physics/ball';

/** A measured height, in metres above a level that is the same for all. */
export type Spot = { at: Point; heightM: number };

/** How a green lies: one fall for all of it, or heights from which a plane is fitted. */
type Lies = { by: 'fall'; towardsDeg: number; percent: number } | { by: 'spots'; spots: readonly Spot[] };

/** The rise for each metre to the right and for each metre up the plan. */
export type Gradient = Point;

/**
 * The gradient of a green that lies in one plane.
 * @returns level where nothing is known, or the spots do not settle a plane
 */
export function gradientOf(slope: Lies | null): Gradient {
  if (slope === null) return [0, 0];
  if (slope.by === 'spots') return planeThrough(slope.spots)?.gradient ?? [0, 0];
  const [x, y] = ofBearing(slope.towardsDeg);
  return [(-x * slope.percent) / 100, (-y * slope.percent) / 100];
}

/** Measured heights nearer than this to a place say most about it, in metres. */
const NEAR_M = 4;
/** Fewer spots than this say no more than one plane. */
const ENOUGH_SPOTS = 6;

/**
 * The gradient at each place: one for all of a green that lies in a plane; where enough heights were measured, that of the plane through the heights
 * round about, each counted the less the farther off it is (and the plane of all where those settle none).
 */
export function gradientAt(slope: Lies | null): (at: Point) => Gradient {
  const all = gradientOf(slope);
  if (slope?.by !== 'spots' || slope.spots.length < ENOUGH_SPOTS) return () => all;
  const { spots } = slope;
  return (at) =>
    planeThrough(spots, ({ at: [x, y] }) => Math.exp(-((x - at[0]) ** 2 + (y - at[1]) ** 2) / (2 * NEAR_M ** 2)) + 1e-4)?.gradient ?? all;
}

/**
 * The plane that fits measured heights best, by least squares.
 * @param weightOf for how much each height counts, more than 0
 * @returns its gradient and by how much the heights miss it, as the root of the mean square in metres; null for fewer
 * than three spots or spots in one line
 */
export function planeThrough(
  spots: readonly Spot[],
  weightOf: (spot: Spot) => number = () => 1,
): { gradient: Gradient; missM: number } | null {
  if (spots.length < 3) return null;
  const weights = spots.map(weightOf);
  const n = weights.reduce((sum, weight) => sum + weight, 0);
  const mean = (of: (spot: Spot) => number) => spots.reduce((sum, spot, i) => sum + weights[i]! * of(spot), 0) / n;
  const [mx, my, mz] = [mean(({ at }) => at[0]), mean(({ at }) => at[1]), mean(({ heightM }) => heightM)];
  let [xx, xy, yy, xz, yz] = [0, 0, 0, 0, 0];
  for (const [i, { at, heightM }] of spots.entries()) {
    const [x, y, z] = [at[0] - mx, at[1] - my, heightM - mz];
    const weight = weights[i]!;
    xx += weight * x * x;
    xy += weight * x * y;
    yy += weight * y * y;
    xz += weight * x * z;
    yz += weight * y * z;
  }
  const det = xx * yy - xy * xy;
  // Spots in one line, or nearly: the plane could tip about it.
  if (det <= 1e-3 * (xx + yy) ** 2 * 0.05) return null;
  const gradient: Gradient = [(xz * yy - yz * xy) / det, (yz * xx - xz * xy) / det];
  const squares = spots.map(
    ({ at, heightM }, i) => weights[i]! * (heightM - mz - gradient[0] * (at[0] - mx) - gradient[1] * (at[1] - my)) ** 2,
  );
  return { gradient, missM: Math.sqrt(squares.reduce((a, b) => a + b, 0) / n) };
}

/** What is wrong with a set of heights, in a sentence; null where they settle a plane that a green can have. */
export function faultOfSpots(spots: readonly Spot[]): string | null {
  if (spots.length < 3) return 'A slope needs at least three measured heights.';
  const plane = planeThrough(spots);
  if (!plane) return 'These heights are in one line. Measure one to the side.';
  const steep = Math.hypot(...plane.gradient);
  return steep > 0.15 ? `These heights make a slope of ${Math.round(steep * 100)}%: no green is steeper than 15%.` : null;
}

/** Where it falls and by how much, as a compass bearing on the plan and in percent; null where it is level. */
export function fallOf([x, y]: Gradient): { towardsDeg: number; percent: number } | null {
  const steep = Math.hypot(x, y);
  if (steep < 1e-9) return null;
  return { towardsDeg: ((Math.atan2(-x, -y) * 180) / Math.PI + 360) % 360, percent: steep * 100 };
}

/**
 * The steepest fall on which a rolling ball still stops, as rise over run, for a green speed: where 5/7 of g·sin θ (a rolling sphere) is as much as
 * what slows the ball on the level.
 */
export function steepestStop(stimpFt: number): number {
  const sine = slowing(stimpFt) / (ROLLING * GRAVITY);
  return sine / Math.sqrt(1 - sine * sine);
}
