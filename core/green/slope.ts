import type { Point } from '../geometry/point';
import { ofBearing } from '../geometry/point';

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

/**
 * The plane that fits measured heights best, by least squares.
 * @returns its gradient and by how much the heights miss it, as the root of the mean square in metres; null for fewer
 * than three spots or spots in one line
 */
export function planeThrough(spots: readonly Spot[]): { gradient: Gradient; missM: number } | null {
  const n = spots.length;
  if (n < 3) return null;
  const mean = (of: (spot: Spot) => number) => spots.reduce((sum, spot) => sum + of(spot), 0) / n;
  const [mx, my, mz] = [mean(({ at }) => at[0]), mean(({ at }) => at[1]), mean(({ heightM }) => heightM)];
  let [xx, xy, yy, xz, yz] = [0, 0, 0, 0, 0];
  for (const { at, heightM } of spots) {
    const [x, y, z] = [at[0] - mx, at[1] - my, heightM - mz];
    xx += x * x;
    xy += x * y;
    yy += y * y;
    xz += x * z;
    yz += y * z;
  }
  const det = xx * yy - xy * xy;
  // Spots in one line, or nearly: the plane could tip about it.
  if (det <= 1e-3 * (xx + yy) ** 2 * 0.05) return null;
  const gradient: Gradient = [(xz * yy - yz * xy) / det, (yz * xx - xz * xy) / det];
  const squares = spots.map(({ at, heightM }) => (heightM - mz - gradient[0] * (at[0] - mx) - gradient[1] * (at[1] - my)) ** 2);
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

const G = 9.81;
/**
 * The steepest fall on which a rolling ball still stops, as rise over run, for a green speed.
 * A ball released at 1.83 m/s rolls the Stimp reading; on a slope gravity adds 5/7 of g·sin θ (rolling sphere).
 */
export function steepestStop(stimpFt: number): number {
  const slows = 1.83 ** 2 / (2 * 0.3048 * stimpFt);
  const sine = slows / ((5 / 7) * G);
  return sine / Math.sqrt(1 - sine * sine);
}
