import { normalQuantile } from '../math/normal';
import { bandAt, PUTT_BANDS, type Band } from '../golf/bands';
import type { Shot } from '../shot/shot';
import { METRES_PER } from '../units/length';
import type { Belief } from '../skill/diagnose';
import type { Evidence } from '../skill/evidence';
import type { SkillModel } from '../skill/model';
import { commonPutting, puttingOf } from '../skill/parameters';
import { makeRate, referencePutting, type PuttingSkill } from '../golf/putting';
import { finishOf } from './inside';
import { rankOfValues } from '../skill/ranks';

/** How often putts drop, by distance in metres: the middle of what is believed, between what it lies eight times in ten, and the level's. */
export type MakePoint = { distanceM: number; middle: number; low: number; high: number; level: number };
/** What was seen: so many of so many from one band, and between what the rate lies eight times in ten by these alone. */
export type MakeBin = { band: Band; distanceM: number; holed: number; balls: number; low: number; high: number };

const FARTHEST_FT = 60;

/** Putters that the draws stand for, at a distance. */
function skillsAt(model: SkillModel, { level, draws }: Belief, distanceM: number): PuttingSkill[] {
  const prior = model.prior(level);
  const bands = prior.bandsAt(distanceM);
  return draws.map(({ rest }) => puttingOf(prior, rest, bands));
}

/** The fitted curve of the make rate, from 2 to 60 ft. */
export function makeCurve(model: SkillModel, belief: Belief, level: number): MakePoint[] {
  const of = referencePutting(level);
  const feet = [2, 3, 4, 5, 6, 7, 8, 10, 12, 15, 18, 22, 27, 33, 40, 50, FARTHEST_FT];
  return feet.map((ft) => {
    const rates = skillsAt(model, belief, ft * METRES_PER.ft).map((skill) => makeRate(skill, ft));
    const { mean, interval80 } = rankOfValues(Float64Array.from(rates));
    return { distanceM: ft * METRES_PER.ft, middle: mean, low: interval80[0], high: interval80[1], level: makeRate(of, ft) };
  });
}

/**
 * The share of successes that so many of so many stand for, between what it lies eight times in ten. Source: E. B. Wilson,
 * "Probable inference, the law of succession, and statistical inference", JASA 22 (1927).
 */
export function wilson80(yes: number, of: number): [number, number] {
  const z = normalQuantile(0.9);
  const p = yes / of;
  const middle = (p + (z * z) / (2 * of)) / (1 + (z * z) / of);
  const half = (z / (1 + (z * z) / of)) * Math.sqrt((p * (1 - p)) / of + (z * z) / (4 * of * of));
  return [Math.max(0, middle - half), Math.min(1, middle + half)];
}

/** Putts as they were, by distance band, each at the mean of the distances that were played. */
export function makeBins({ putts }: Evidence): MakeBin[] {
  return PUTT_BANDS.flatMap((band) => {
    const here = [...putts].filter(([distanceM]) => bandAt('putt', distanceM) === band);
    const balls = here.reduce((sum, [, one]) => sum + one.balls, 0);
    if (balls === 0) return [];
    const holed = here.reduce((sum, [, one]) => sum + one.holed, 0);
    const distanceM = here.reduce((sum, [distance, one]) => sum + distance * one.balls, 0) / balls;
    const [low, high] = wilson80(holed, balls);
    return [{ band, distanceM, holed, balls, low, high }];
  });
}

/** One of the two skills of a putt, believed and the level's: line in degrees, pace as a share of the length. */
export type Spread80 = { mean: number; interval80: [number, number]; level: number };

/** How wide a player's putts spread in direction and in length, over all distances. */
export function puttingSkills(model: SkillModel, { level: own, draws }: Belief, level: number): { line: Spread80; pace: Spread80 } {
  const prior = model.prior(own);
  const of = referencePutting(level);
  const degrees = 180 / Math.PI;
  const line = rankOfValues(Float64Array.from(draws, ({ rest }) => commonPutting(prior, rest).angle * degrees));
  const pace = rankOfValues(Float64Array.from(draws, ({ rest }) => commonPutting(prior, rest).distance));
  return { line: { ...line, level: of.angle * degrees }, pace: { ...pace, level: of.distance } };
}

/** Misses whose direction is known: short or past, left or right, and how far off in length and in line. */
export type Misses = {
  of: number;
  short: number;
  left: number;
  /** Of the lengths, as shares of the putt, and of the lines, in degrees: their spread about nothing. */
  paceOff: number;
  lineOffDeg: number;
};

/** @param putts putts that were missed; null where the direction of none is known */
export function missesOf(putts: readonly Shot[]): Misses | null {
  const known = putts.flatMap((putt) => {
    const finish = finishOf(putt);
    return finish && putt.distanceM > 0 ? [{ ...finish, distanceM: putt.distanceM }] : [];
  });
  if (known.length === 0) return null;
  const root = (of: (one: (typeof known)[number]) => number) => Math.sqrt(known.reduce((sum, one) => sum + of(one) ** 2, 0) / known.length);
  return {
    of: known.length,
    short: known.filter(({ beyond }) => beyond < 0).length,
    left: known.filter(({ right }) => right < 0).length,
    paceOff: root(({ beyond, distanceM }) => beyond / distanceM),
    lineOffDeg: root(({ right, distanceM, beyond }) => (Math.atan2(right, distanceM + beyond) * 180) / Math.PI),
  };
}
