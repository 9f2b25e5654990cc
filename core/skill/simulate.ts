import type { ShotType, Sit, Stance, Surface } from '../golf/words';
import type { Random } from '../math/random';
import { METRES_PER } from '../units/length';
import { cellKey } from './cells';
import { lieCost } from './groups';
import type { PuttingSkill } from './putting';
import type { Reference } from './reference';

/** Somebody whose skill is known, because we made them up. Effects are added to the logarithm of the distance left. */
export type PlayerTruth = {
  level: number;
  putting: PuttingSkill;
  /** Where putting differs from band to band: by cell key. */
  puttingIn?: Readonly<Record<string, PuttingSkill>>;
  /** By cell key (`cellKey`): + is worse than the level. */
  effects: Readonly<Record<string, number>>;
};

/** Where a simulated ball stopped: holed, or so far left and in which direction; and whether it was hit badly. */
export type Stopped = { holed: boolean; leftM: number; bearingDeg: number; mishit: boolean };

/** The median distance from the hole, in depth SDs, of balls with lateral SD half the depth SD and a mean 0.15 SD short. */
const MEDIAN_IN_DEPTH_SDS = 0.878;
export const SHORT_SDS = 0.15;
/** What share of such balls more stop inside a distance longer by one in its logarithm, about the median. */
const INSIDE_PER_LOG = 0.62;
/** As a share of the distance, the farthest that a mishit ends from the hole, short or past. */
export const MISHIT_REACH = 0.85;
/** How wide of the hole's middle a ball may pass and how far past it may be going to still drop, in metres. */
export const DROPS_WIDE_M = 0.036;
export const DROPS_PAST_M = 0.9;

/** Mishits are rarer from a good lie and more frequent from a bad one: by how much. A judgement. */
const MISHITS_FROM: Readonly<Record<Surface, number>> = {
  green: 0,
  fringe: 0.6,
  fairway: 0.8,
  light_rough: 1,
  bare: 1.3,
  heavy_rough: 1.4,
  sand: 1.4,
};

/** How often a level mishits: 2% at level 0, 22% at 28, of an ordinary lie; below 0 less and less. A judgement. */
export function mishitRate(level: number, surface: Surface): number {
  return MISHITS_FROM[surface] * (level < 0 ? 0.02 * Math.exp(0.2 * level) : 0.02 + (0.2 * level) / 28);
}

/**
 * The depth SD at which half of all balls, mishits included, stop inside the median: where more of the others must, they
 * spread less, by how steep their distribution is there.
 */
export function depthSdOf(medianM: number, rate: number, distanceM: number): number {
  const mishitsInside = Math.min(1, medianM / (MISHIT_REACH * distanceM));
  const othersInside = (0.5 - rate * mishitsInside) / (1 - rate);
  return (medianM / MEDIAN_IN_DEPTH_SDS) * Math.exp((0.5 - othersInside) / INSIDE_PER_LOG);
}

/**
 * One ball of a simulated player. Off the green, depth and width are normal about a point a little short, sized to the
 * reference player's median times the effects, with a chance of a mishit (`mishitRate`) that ends anywhere from 85% short to
 * 85% past: heavier-tailed than any smooth model on purpose. A putt is its direction and its length.
 * @param day the day's form, added to the effects
 * @throws RangeError where the reference has no such shot
 */
export function simulateShot(
  truth: PlayerTruth,
  shot: { shotType: ShotType; surface: Surface; distanceM: number; sit?: Sit; stance?: Stance },
  day: number,
  reference: Reference,
  random: Random,
): Stopped {
  if (shot.shotType === 'putt') return simulatePutt(puttingOf(truth, shot.distanceM), shot.distanceM, day, random);
  const lie = lieCost({ sit: shot.sit ?? 'clean', stance: shot.stance ?? 'flat' });
  const own = lie + (truth.effects[cellKey(shot.shotType, shot.surface, shot.distanceM)] ?? 0);
  const level = reference.shot(truth.level, shot.shotType, shot.surface, shot.distanceM);
  if (!level) throw new RangeError(`the reference has no ${shot.shotType} from ${shot.surface}`);
  const rate = mishitRate(truth.level, shot.surface);
  const depthSd = Math.exp(own + day) * depthSdOf(level.medianLeftFt * METRES_PER.ft, rate, shot.distanceM);
  const mishit = random.uniform() < rate;
  const depth = mishit ? shot.distanceM * MISHIT_REACH * (2 * random.uniform() - 1) : depthSd * (random.normal() - SHORT_SDS);
  const width = (depthSd / 2) * random.normal();
  const holed = !mishit && Math.abs(width) < DROPS_WIDE_M && depth >= 0 && depth < DROPS_PAST_M;
  return { ...stopped(holed, depth, width), mishit };
}

/** How a player putts from so far. */
export function puttingOf({ putting, puttingIn }: PlayerTruth, distanceM: number): PuttingSkill {
  return puttingIn?.[cellKey('putt', 'green', distanceM)] ?? putting;
}

/** A putt: direction and length are normal, aimed a foot past; it drops where line and length allow. */
function simulatePutt({ angle, distance }: PuttingSkill, distanceM: number, day: number, random: Random): Stopped {
  const ft = distanceM / METRES_PER.ft;
  const direction = angle * Math.exp(day) * random.normal();
  const rolledFt = Math.max(0, (ft + 1) * (1 + distance * random.normal()));
  const reachFt = (2.125 - 0.84) / 12;
  const onLine = Math.abs(direction) < (ft <= reachFt ? Math.PI / 2 : Math.asin(reachFt / ft));
  const holed = onLine && rolledFt >= ft && rolledFt < ft + 3;
  return stopped(holed, (rolledFt * Math.cos(direction) - ft) * METRES_PER.ft, rolledFt * Math.sin(direction) * METRES_PER.ft);
}

function stopped(holed: boolean, depthM: number, widthM: number): Stopped {
  const bearing = (Math.atan2(widthM, depthM) * 180) / Math.PI;
  return { holed, leftM: Math.hypot(depthM, widthM), bearingDeg: (bearing + 360) % 360, mishit: false };
}
