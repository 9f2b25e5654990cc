import type { ShotType, Sit, Stance, Surface } from '../golf/words';
import type { Random } from '../math/random';
import { normalCdf, normalQuantile } from '../math/normal';
import { along, type Curve } from '../math/piecewise';
import { METRES_PER } from '../units/length';
import { cellKey } from '../skill/cells';
import { lieCost } from '../skill/groups';
import { dropsWithin, OVER_FT, TOLERANCE_FT, type PuttingSkill } from '../golf/putting';
import type { Reference } from '../golf/reference';
import { isPutt } from '../golf/shot-types';

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

/** Balls that come off stop short of the hole on average, in SDs of their depth. */
export const SHORT_SDS = 0.15;
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

/** How far from the hole balls stop that come off, in SDs of their depth, by the share that stops inside. */
const INSIDE: Curve = Array.from({ length: 100 }, (_, i) => {
  const far = 0.03 * (i + 1);
  return [shareInside(far), far];
});

/** Depth is normal about a point a little short, and the lateral SD is half of that of the depth: by midpoints over the depth. */
function shareInside(far: number): number {
  const STEPS = 200;
  let sum = 0;
  for (let n = 0; n < STEPS; n++) {
    const depth = far * ((2 * n + 1) / STEPS - 1);
    const chord = Math.sqrt(far * far - depth * depth);
    sum += Math.exp(-((depth + SHORT_SDS) ** 2) / 2) * (2 * normalCdf(2 * chord) - 1);
  }
  return (sum * 2 * far) / STEPS / Math.sqrt(2 * Math.PI);
}

/** Places across the line that stand for equal shares of balls, in SDs of their width. */
const ACROSS = [0.1, 0.3, 0.5, 0.7, 0.9].map((share) => normalQuantile(0.5 + share / 2));

/**
 * The depth SD at which half of all balls, mishits included, stop inside the median: where mishits do not, more of the others must.
 * How wide mishits are depends on it in turn, which settles within a thousandth in three rounds.
 */
export function depthSdOf(medianM: number, rate: number, distanceM: number): number {
  let sd = medianM;
  for (let round = 0; round < 3; round++) {
    const chords = ACROSS.map((width) => Math.sqrt(Math.max(0, medianM ** 2 - ((sd / 2) * width) ** 2)));
    const mishitsInside = chords.reduce((sum, chord) => sum + Math.min(1, chord / (MISHIT_REACH * distanceM)), 0) / ACROSS.length;
    sd = medianM / along(INSIDE, (0.5 - rate * mishitsInside) / (1 - rate));
  }
  return sd;
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
  if (isPutt(shot.shotType)) return simulatePutt(puttingOf(truth, shot.distanceM), shot.distanceM, day, random);
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
  const rolledFt = Math.max(0, (ft + OVER_FT) * (1 + distance * random.normal()));
  const holed = Math.abs(direction) < dropsWithin(ft) && rolledFt >= ft && rolledFt < ft + TOLERANCE_FT;
  return stopped(holed, (rolledFt * Math.cos(direction) - ft) * METRES_PER.ft, rolledFt * Math.sin(direction) * METRES_PER.ft);
}

function stopped(holed: boolean, depthM: number, widthM: number): Stopped {
  const bearing = (Math.atan2(widthM, depthM) * 180) / Math.PI;
  return { holed, leftM: Math.hypot(depthM, widthM), bearingDeg: (bearing + 360) % 360, mishit: false };
}
