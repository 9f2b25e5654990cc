import { convolve, ofOutcomes, repeated, type Distribution } from '../forecast/convolution';
import { executesAt } from '../forecast/executes';
import { FORM_SD } from '../forecast/shooter';
import { spotOf, type Spot } from '../forecast/spots';
import { phasesOf } from '../game/phases';
import type { Scoring } from '../game/scoring';
import type { GameSpec } from '../game/spec';
import { normalQuantile } from '../math/normal';
import type { Belief } from '../skill/diagnose';
import { LANDED, landedInside, ownLanding } from '../skill/landing';
import type { SkillModel } from '../skill/model';
import type { Draw } from '../skill/posterior';
import type { Prior } from '../skill/prior';
import { leaveParts, makeRate } from '../golf/putting';
import { allInside, anywhereInside, steepness } from '../skill/shape';
import { offGreenChance } from '../skill/trouble';
import { METRES_PER } from '../units/length';

/*
 * The exact distribution of additive scores, without playing a game: by formulas for one ball and convolution for all of
 * them, draw by draw and day by day. It shares nothing with the simulation but the parameters.
 */

/** Days and rates that stand for all of them: the middles of equally likely parts. */
const PARTS = 15;
const middles = Array.from({ length: PARTS }, (_, i) => normalQuantile((i + 0.5) / PARTS));

/** One ball: the chance of what may be added, in whole steps. */
export type OneBall = { value: number; p: number }[];

/** Chances of the distance left, of one draw on one day, from one spot. */
export class BallAt {
  readonly #steep: number;
  readonly #landing: number;
  readonly #mu: number;
  readonly #putting: { angle: number; distance: number };
  constructor(
    readonly spot: Spot,
    prior: Prior,
    { delta, rest }: Draw,
    form: number,
  ) {
    this.#steep = steepness(rest[0]!);
    this.#landing = rest.at(-1)!;
    this.#mu = spot.putt ? 0 : spot.mu + delta[spot.cell]! + form;
    const at = (from: number) => (spot.putt ? spot.bands.reduce((sum, share, b) => sum + share * rest[from + 1 + b]!, rest[from]!) : 0);
    this.#putting = {
      angle: prior.putting.angle * Math.exp(at(1) + form),
      distance: prior.putting.distance * Math.exp(at(2 + prior.bands)),
    };
  }

  holed(): number {
    const { spot } = this;
    return spot.putt ? makeRate(this.#putting, spot.ft) : allInside(this.#steep * (spot.logCap - this.#mu), spot.luck);
  }

  /** Of stopping inside a radius, in the hole included. */
  inside(radiusM: number): number {
    const { spot } = this;
    if (spot.putt) return this.holed() + leaveParts(this.#putting, spot.ft, 0, radiusM / METRES_PER.ft).rate;
    const holed = this.holed();
    return holed + (1 - holed) * allInside(this.#steep * (Math.log(radiusM) - this.#mu), anywhereInside(radiusM, spot.distanceM));
  }

  landed(sizeM: number, strip: boolean): number {
    const { spot } = this;
    if (spot.putt) return 0;
    const { steepness: steep, nearer } = LANDED[strip ? 'along' : 'circle'];
    const mu = this.#mu + Math.log(spot.landing) + nearer + ownLanding(spot.landing) * this.#landing;
    return landedInside(steep * (Math.log(sizeM) - mu));
  }

  /** Of stopping between two radii and off the green, by many small steps. */
  between(lo: number, hi: number): { on: number; off: number } {
    const all = this.inside(hi) - this.inside(lo);
    if (this.spot.putt || all <= 0) return { on: all, off: 0 };
    let off = 0;
    const [STEPS, FARTHEST_M] = [200, 200];
    const step = Math.log(Math.min(hi, FARTHEST_M) / lo) / STEPS;
    const at = (i: number) => lo * Math.exp(i * step);
    for (let i = 0; i < STEPS; i++) off += (this.inside(at(i + 1)) - this.inside(at(i))) * offGreenChance(at(i + 0.5));
    return { on: all - off, off };
  }
}

/** Steps of lengths, in metres: about a tenth, so that what lies farthest is a whole number of them. */
export const stepM = (farM: number) => farM / Math.round(farM / 0.1);

/** What one ball adds, by the chances of where it stops; in total left in steps of `stepM`. */
function oneBall(scoring: Scoring, ball: BallAt, executes: number, offCost: number): OneBall {
  const yes = (p: number): OneBall => [
    { value: 1, p },
    { value: 0, p: 1 - p },
  ];
  switch (scoring.scheme) {
    case 'hits':
      return yes(scoring.radiusM === 0 ? ball.holed() : ball.inside(scoring.radiusM));
    case 'landing_zone':
      return yes(ball.landed(scoring.sizeM, scoring.shape === 'strip'));
    case 'shot_matrix':
      return yes(executes);
    case 'ring_points': {
      const edges = [0, ...scoring.rings.map((ring) => ring.radiusM), Infinity];
      return [
        { value: scoring.holedPoints, p: ball.holed() },
        ...edges.slice(1).flatMap((hi, i) => {
          const { on, off } = ball.between(Math.max(edges[i]!, 1e-6), hi);
          const first = i === 0 ? ball.inside(1e-6) - ball.holed() : 0;
          const points = scoring.rings[i]?.points ?? 0;
          return [
            { value: points, p: on + first },
            { value: points - offCost, p: off },
          ];
        }),
      ];
    }
    case 'total_left':
    case 'club_trial': {
      // A distance counts as the nearest step; what lies beyond the farthest counts as that.
      const step = stepM(scoring.farM);
      const steps = Math.round(scoring.farM / step);
      const under = (n: number) => (n < 0 ? 0 : n >= steps ? 1 : ball.inside((n + 0.5) * step));
      return Array.from({ length: steps + 1 }, (_, n) => ({ value: n, p: under(n) - under(n - 1) }));
    }
    default:
      throw new Error(`${scoring.scheme} does not simply add up`);
  }
}

/** The exact distribution of the score of one player, in whole points or steps of lengths, averaged over draws and days. */
export function exactScores(game: GameSpec, belief: Belief, model: SkillModel, formSd = FORM_SD): Map<number, number> {
  const prior = model.prior(belief.level);
  const { scoring, rules, stations, lots } = phasesOf(game).at(-1)!;
  const spots = stations.map((station) => spotOf(station, prior, model.reference));
  const balls = stations.map((_, at) => lots!.filter((lot) => lot.at === at).length);
  const days = formSd === 0 ? [0] : middles.map((z) => formSd * z);
  const rates = scoring.scheme === 'shot_matrix' ? middles.map((z) => executesAt(belief.level, z)) : [0];
  const all = new Map<number, number>();
  for (const draw of belief.draws)
    for (const form of scoring.scheme === 'shot_matrix' ? [0] : days)
      for (const rate of rates) {
        const sum = spots.reduce<Distribution>(
          (so, spot, at) =>
            convolve(
              so,
              repeated(ofOutcomes(oneBall(scoring, new BallAt(spot, prior, draw, form), rate, rules.offGreenCost ?? 0)), balls[at]!),
            ),
          { from: 0, p: Float64Array.of(1) },
        );
        const weight = 1 / (belief.draws.length * (scoring.scheme === 'shot_matrix' ? rates.length : days.length));
        sum.p.forEach((p, i) => all.set(sum.from + i, (all.get(sum.from + i) ?? 0) + weight * p));
      }
  return all;
}

/** The largest gap between the distribution function of scores and an exact one over whole steps. */
export function ksDistance(scores: ArrayLike<number>, exact: ReadonlyMap<number, number>): number {
  const sorted = Array.from(scores).sort((a, b) => a - b);
  let [mass, gap, n] = [0, 0, 0];
  for (const value of [...exact.keys()].sort((a, b) => a - b)) {
    mass += exact.get(value)!;
    while (n < sorted.length && sorted[n]! <= value + 1e-6) n += 1;
    gap = Math.max(gap, Math.abs(mass - n / sorted.length));
  }
  return gap;
}
