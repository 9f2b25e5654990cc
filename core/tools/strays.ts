import { mean } from 'd3-array';
import { METRES_PER } from '../units/length';
import { isPutt } from '../golf/shot-types';
import { referencePutting, type PuttingSkill } from '../golf/putting';
import type { Reference } from '../golf/reference';
import type { ShotType, Surface } from '../golf/words';
import { cellKey } from '../skill/cells';
import type { Belief } from '../skill/diagnose';
import type { SkillModel } from '../skill/model';
import { puttingOf } from '../skill/parameters';
import { spreadFrom } from './spread';

/**
 * How a player's shots stray, small enough to be carried about: by how much farther than their level their balls stop, by skill cell, and how much wider
 * their putts spread at some distances; all as logarithms. Means of what is believed.
 */
export type Strays = {
  level: number;
  offGreen: Readonly<Record<string, number>>;
  putts: readonly { ft: number; angle: number; length: number }[];
};

/** Of shots off the green only, with how many balls say so: so little that a phone carries it for every player. */
export type KeptStrays = Pick<Strays, 'offGreen'> & { balls: number };

/** Distances at which putting is kept, in feet. */
const PUTTS_FT = [2, 4, 6, 8, 12, 20, 30, 50] as const;
const rounded = (value: number) => Math.round(value * 1000) / 1000;

/** What a belief comes to. */
export function straysOf(belief: Belief, model: SkillModel): Strays {
  const { level, draws } = belief;
  const prior = model.prior(level);
  const offGreen = Object.fromEntries(
    prior.cells.slice(0, prior.offGreen).map(({ key }, i) => [key, rounded(mean(draws, ({ delta }) => delta[i]!)!)]),
  );
  const putts = PUTTS_FT.map((ft) => {
    const bands = prior.bandsAt(ft * METRES_PER.ft);
    const skills = draws.map(({ rest }) => puttingOf(prior, rest, bands));
    const log = (of: keyof PuttingSkill) => rounded(mean(skills, (skill) => Math.log(skill[of] / prior.putting[of]))!);
    return { ft, angle: log('angle'), length: log('distance') };
  });
  return { level, offGreen, putts };
}

/** Somebody who plays as their level does. */
export const asLevel = (level: number): Strays => ({ level, offGreen: {}, putts: [] });

/**
 * Half of a player's balls stop within so many metres.
 * @throws RangeError for putts, and for a shot that the reference does not have
 */
export function medianLeftOf(
  { level, offGreen }: Strays,
  reference: Reference,
  shotType: ShotType,
  surface: Surface,
  distanceM: number,
): number {
  const shot = isPutt(shotType) ? null : reference.shot(level, shotType, surface, distanceM);
  if (!shot) throw new RangeError(`The reference has no ${shotType} from ${surface} off the green.`);
  return shot.medianLeftFt * METRES_PER.ft * Math.exp(offGreen[cellKey(shotType, surface, distanceM)] ?? 0);
}

/** The spread of a player's shots: the standard deviation of the carry as a share of it. */
export function spreadOf(strays: Strays, reference: Reference, shotType: ShotType, surface: Surface, distanceM: number): number {
  return spreadFrom(medianLeftOf(strays, reference, shotType, surface, distanceM), shotType, distanceM);
}

/** How a player putts from so many feet: between the distances that are kept by the nearer one's share. */
export function puttingFrom({ level, putts }: Strays, ft: number): PuttingSkill {
  const usual = referencePutting(level);
  if (putts.length === 0) return usual;
  const above = putts.findIndex((one) => one.ft >= ft);
  const [a, b] = above === 0 ? [putts[0]!, putts[0]!] : above === -1 ? [putts.at(-1)!, putts.at(-1)!] : [putts[above - 1]!, putts[above]!];
  const share = a === b ? 0 : Math.log(ft / a.ft) / Math.log(b.ft / a.ft);
  const between = (of: 'angle' | 'length') => Math.exp(a[of] + share * (b[of] - a[of]));
  return { angle: usual.angle * between('angle'), distance: usual.distance * between('length') };
}
