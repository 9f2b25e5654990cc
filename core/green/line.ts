import { fanTouches, stretchesInside } from '../geometry/polygon';
import { contains } from '../geometry/polygon';
import { distance, dot, leftOf, unit, type Point } from '../geometry/point';
import type { GreenPlan } from './plan';
import { gradientOf } from './slope';

/** Less green than this to work with is short-sided, whatever the distance. */
const SHORT_SIDE_M = 5.5;
/** Bunkers within so many degrees of the line may come into play. */
const FAN_DEG = 6;

export type Line = {
  distanceM: number;
  /** To the last point where the line enters the green before the hole; nothing from a ball on the green. */
  edgeM: number;
  /** From that edge to the hole. */
  greenM: number;
  shortSided: boolean;
  /** The carry that clears the last bunker on the line, with a margin of 1 m or a tenth; null where there is none. */
  clearM: number | null;
  /** Keys of the bunkers on the line. */
  bunkers: string[];
  /** Keys of bunkers beside the line, near enough to come into play. */
  near: string[];
  /** Rise towards the hole over run. */
  uphill: number;
  /** Rise to the left of the line over run: positive falls to the right. */
  leftUp: number;
};

/**
 * What lies between a ball and its hole, measured along the straight line of play.
 * @param hole inside the green
 */
export function lineOfPlay(plan: Pick<GreenPlan, 'outline' | 'areas' | 'slope'>, ball: Point, hole: Point): Line {
  const distanceM = distance(ball, hole);
  const direction = unit(ball, hole);
  const inside = stretchesInside(plan.outline, ball, direction, Infinity);
  // A hole on the edge itself may be touched by two stretches or by none.
  const chord = inside.findLast(({ from, to }) => from <= distanceM && distanceM <= to + 1e-6) ?? { from: distanceM, to: distanceM };
  const edgeM = chord.from;
  const greenM = distanceM - edgeM;
  const sand = plan.areas.filter((area) => area.kind === 'sand' && !contains(area.outline, ball));
  const onLine = sand.flatMap((area) => {
    const last = stretchesInside(area.outline, ball, direction, distanceM).at(-1);
    return last ? [{ key: area.key, exitM: last.to }] : [];
  });
  const exitM = Math.max(0, ...onLine.map((one) => one.exitM));
  const bunkers = onLine.map((one) => one.key);
  const gradient = gradientOf(plan.slope);
  return {
    distanceM,
    edgeM,
    greenM,
    shortSided: edgeM > 0 && (greenM < SHORT_SIDE_M || (greenM < distanceM / 2 && greenM < (chord.to - chord.from) / 3)),
    clearM: onLine.length === 0 ? null : exitM + Math.max(1, exitM / 10),
    bunkers,
    near: sand
      .filter((area) => !bunkers.includes(area.key) && fanTouches(area.outline, ball, direction, FAN_DEG, distanceM))
      .map((area) => area.key),
    uphill: dot(gradient, direction),
    leftUp: dot(gradient, leftOf(direction)),
  };
}
