import { isPutt, surfacesOf, unitOf } from '../golf/shot-types';
import { toEdge } from '../geometry/polygon';
import { longestM } from '../golf/bands';
import { FLAGSTICK_M } from '../measures/sticks';
import { say, type ShotType, type Surface } from '../golf/words';
import { formatLength } from '../units/format';
import type { UnitSystem } from '../units/length';
import { groundAt } from './ground';
import { lineOfPlay, type Line } from './line';
import type { GreenPlan, Hole, PlanStation } from './plan';
import { gradientOf, steepestStop } from './slope';
import { suggestShot, type Suggestion } from './suggest';

/** All that the place says about a station. */
export type StationFacts = {
  hole: Hole;
  /** What the plan has there, and what the ball lies on: the coach's word, else the plan's. */
  ground: Surface;
  surface: Surface;
  line: Line;
  suggested: Suggestion;
  /** The coach's choice, else what is suggested. */
  shotType: ShotType;
};

/** What of a plan bears on a station. */
export type GreenPlace = Pick<GreenPlan, 'outline' | 'areas' | 'fringeM' | 'around' | 'holes' | 'slope'>;

/**
 * What the place says about a station.
 * @throws RangeError for a station whose hole the plan does not have
 */
export function factsOf(plan: GreenPlace, station: PlanStation, system: UnitSystem): StationFacts {
  const hole = plan.holes.find((one) => one.key === station.hole);
  if (!hole) throw new RangeError(`The plan has no hole ${station.hole}.`);
  const ground = groundAt(plan, station.at);
  const surface = station.surface ?? ground;
  const line = lineOfPlay(plan, station.at, hole.at);
  const suggested = suggestShot(line, surface, station.sit, system === 'metric' ? 'm' : 'yd');
  const chosen = station.shotType;
  return {
    hole,
    ground,
    surface,
    line,
    suggested,
    shotType: chosen && surfacesOf(chosen).includes(surface) ? chosen : suggested.shotType,
  };
}

/** `factsOf` for the stations of one place, which works each of them out once. */
export function factsFrom(plan: GreenPlace, system: UnitSystem): (station: PlanStation) => StationFacts {
  const known = new WeakMap<PlanStation, StationFacts>();
  return (station) => {
    const facts = known.get(station) ?? factsOf(plan, station, system);
    known.set(station, facts);
    return facts;
  };
}

/** A putt longer than this hardly comes up: 100 ft. */
const LONG_PUTT_M = 30.48;

/** What is unlike a course about a hole, a sentence each. */
export function oddHole(plan: GreenPlan, hole: Hole, system: UnitSystem, flagstickM = FLAGSTICK_M): string[] {
  const edgeM = toEdge(plan.outline, hole.at);
  const unit = system === 'metric' ? 'm' : 'ft';
  const steep = Math.hypot(...gradientOf(plan.slope));
  return [
    edgeM < flagstickM &&
      `Hole ${hole.label} is ${formatLength(edgeM, unit)} from the edge: nearer than a flagstick. Courses hardly ever cut one there.`,
    plan.stimpFt !== null &&
      steep >= steepestStop(plan.stimpFt) &&
      `At a speed of ${plan.stimpFt} ft a ball will not stop on a fall of ${(steep * 100).toFixed(1)}%: no hole is cut on such a slope.`,
  ].filter((line) => typeof line === 'string');
}

/** What is unlike a course about a station, a sentence each. */
export function oddStation(facts: StationFacts, name: string, system: UnitSystem): string[] {
  const { line, surface, ground, shotType } = facts;
  const far = (metres: number) => formatLength(metres, unitOf(shotType, system), 0);
  return [
    line.distanceM > longestM(shotType)
      ? `${name} is ${far(line.distanceM)} from its hole: too far for a ${say(shotType)}.`
      : isPutt(shotType) && line.distanceM > LONG_PUTT_M && `${name} is a putt of ${far(line.distanceM)}: rare on a course.`,
    surface !== ground &&
      ground !== 'green' &&
      surface !== 'green' &&
      (ground === 'sand' || surface === 'sand') &&
      `${name} is said to lie in ${say(surface)}, where the plan has ${say(ground)}: it could hardly come up there.`,
    (surface === 'green') !== (ground === 'green') &&
      `${name} is said to lie on ${say(surface)}, where the plan has ${say(ground)}: it could hardly come up there.`,
    surface === 'green' && line.edgeM > 0 && `From ${name} the line to the hole leaves the green: rare on a course.`,
    surface !== 'green' && line.distanceM < 1.5 && `${name} is ${far(line.distanceM)} from the hole and off the green: rare on a course.`,
  ].filter((line) => typeof line === 'string');
}
