import { gameFor } from '../game/entrant';
import { phasesOf } from '../game/phases';
import { schemeOf, type Scoring } from '../game/scoring';
import { oneCircle, strokesToHole } from '../game/scoring/simple';
import type { AnswerKey } from '../game/scoring/answer-keys';
import type { GameSpec } from '../game/spec';
import type { Station } from '../game/station';
import type { Belief } from '../skill/diagnose';
import { BINNING, groupOf, type RecordedBall, type BallGroup } from '../skill/groups';
import type { Judge } from '../skill/judge';
import { itemsOf, likelihood } from '../skill/likelihood';
import type { SkillModel } from '../skill/model';
import { ANGLE, lengthAt, puttingOf, SPREAD, type Parameters } from '../skill/parameters';
import { SDS, type Prior } from '../skill/prior';
import { afterMiss } from '../skill/putters';
import { makeRate } from '../golf/putting';
import { METRES_PER } from '../units/length';
import type { ForecastPlayer } from './games';
import { spotOf } from './spots';

/*
 * How much a game tells about a player's skill: information per ball, against a ball whose distance left is taped. Of
 * each answer that can be given of a ball, the chance and how it moves with the player's parameters are those of the
 * skill model, so that Σ p·(slope of ln p)² is what a ball tells on average (Fisher). What counts is what it tells of the
 * strokes that the player is expected to need: the drop of their variance by a first ball, gᵀVJVg, with g their slope in
 * the parameters and V the variances believed before any ball.
 */

/** What one game tells, and the same balls recorded in other ways, each from 0 to 1. */
export type Information = { game: number; circle: { radiusM: number; share: number }; strokes: number };

/** Where the player stands: the middle of what is believed. */
type Middle = Parameters;

function middleOf({ draws }: Belief): Middle {
  const mean = (of: (draw: Middle) => Float64Array) =>
    of(draws[0]!).map((_, i) => draws.reduce((sum, draw) => sum + of(draw)[i]!, 0) / draws.length);
  return { delta: mean((draw) => draw.delta), rest: mean((draw) => draw.rest) };
}

/**
 * Information per ball of a game about one player, against a measured ball: the mean over its balls.
 * @throws RangeError for a game without stations
 */
export function informationOf(game: GameSpec, { entrant, belief }: ForecastPlayer, model: SkillModel): number {
  return perBall(gameFor(game, entrant), belief, model);
}

function perBall(game: GameSpec, belief: Belief, model: SkillModel): number {
  const middle = middleOf(belief);
  const { lots, stations } = phasesOf(game).at(-1)!;
  if (stations.length === 0) throw new RangeError('a game without stations tells nothing');
  const weights = stations.map((_, at) => (lots ? lots.filter((lot) => lot.at === at).length : 1));
  const all = weights.reduce((a, b) => a + b, 0);
  return stations.reduce((sum, station, at) => {
    if (weights[at] === 0) return sum;
    const place = placeOf(station, belief, middle, model);
    const exact = place.gain(measured(station, Infinity));
    const told = place.gain(answersAt(game, station));
    return sum + (weights[at]! / all) * (exact === 0 ? 0 : Math.min(1, told / exact));
  }, 0);
}

/** The same balls, recorded otherwise: in one circle that catches half of them, or by strokes to hole out. */
export function compareInformation(game: GameSpec, { entrant, belief }: ForecastPlayer, model: SkillModel, circleM: number): Information {
  const own = gameFor(game, entrant);
  const as = (scoring: Scoring) => perBall({ ...own, scoring }, belief, model);
  return {
    game: as(own.scoring),
    circle: { radiusM: circleM, share: as(oneCircle(circleM)) },
    strokes: as(strokesToHole()),
  };
}

/** What can be said of a ball, as balls of which just that is known. */
type Said = Pick<RecordedBall, 'holed' | 'leftM' | 'leftMinM' | 'leftMaxM' | 'strokes' | 'landed' | 'executed' | 'zone' | 'measured'>;
const NOTHING: Said = {
  holed: false,
  leftM: null,
  leftMinM: null,
  leftMaxM: null,
  strokes: null,
  landed: null,
  executed: null,
  zone: null,
  measured: 'ring',
};

/** Every answer that a game takes at a station; where distances are measured, as fine as they are sorted. */
function answersAt(game: GameSpec, station: Station): Said[] {
  const { scoring } = game;
  const scheme = schemeOf(scoring);
  const keys = scheme.asks(phasesOf(game).at(-1)!, station);
  const zones = scheme.zones(scoring);
  const far = zones.find(({ of }) => of === 'measured');
  if (far) return measured(station, far.radiusM);
  const lands = zones.find(({ of }) => of === 'landing');
  const zone = lands ? { sizeM: lands.radiusM, spotM: station.carryM, strip: lands.strip ?? false } : null;
  return keys.map(({ result: { holed, leftM, leftMinM, leftMaxM, strokes = null, landed = null, executed = null } }: AnswerKey) => ({
    ...NOTHING,
    ...{ holed, leftM, leftMinM, leftMaxM, strokes, landed, executed, zone },
  }));
}

/** A taped ball: in the hole, at any distance up to `farM`, or beyond it. */
function measured(station: Station, farM: number): Said[] {
  const said: Said[] = [{ ...NOTHING, holed: true }];
  const { bins, fromM, step } = BINNING;
  for (let bin = 0; bin < bins; bin++) {
    const leftM = fromM * Math.exp((bin + 0.5) * step);
    if (leftM <= farM) said.push({ ...NOTHING, leftM, measured: 'tape' });
    else {
      said.push({ ...NOTHING, leftMinM: farM });
      break;
    }
  }
  return said;
}

/** An ordinary ball at a hole. */
const ORDINARY: Pick<RecordedBall, 'counts' | 'target' | 'penalty' | 'finish' | 'nBalls' | 'sumLeftM' | 'landingErrorM' | 'carryM'> = {
  counts: 'ordinary',
  target: 'hole',
  penalty: 0,
  finish: null,
  nBalls: 1,
  sumLeftM: null,
  landingErrorM: null,
  carryM: null,
};

/** What balls from a station tell: of each list of answers, by how much a first ball narrows the expected strokes. */
function placeOf(station: Station, belief: Belief, middle: Middle, model: SkillModel) {
  const prior = model.prior(belief.level);
  const spot = spotOf(station, prior, model.reference);
  const [cell, weights] = spot.putt
    ? [null, puttWeights(spot.ft, spot.bands, prior, middle)]
    : [spot.cell, shotWeights(spot.cell, prior, model.judge(belief.level, belief.level), middle)];
  const ball = { ...ORDINARY, ...asPlayed(station, cell, prior) };
  return {
    gain(said: readonly Said[]): number {
      const groups = new Map<string, BallGroup>();
      for (const one of said) {
        const group = groupOf({ ...ball, ...one });
        if (group) groups.set(JSON.stringify(group), { ...group, n: 1 });
      }
      let [mass, gain] = [0, 0];
      for (const group of groups.values()) {
        const { value, byCell, byRest } = likelihood(itemsOf([group], prior), prior, middle.delta, middle.rest);
        const p = Math.exp(value);
        let slope = cell === null ? 0 : byCell[cell]! * weights.cell;
        for (let i = 0; i < byRest.length; i++) slope += byRest[i]! * weights.rest[i]!;
        mass += p;
        gain += p * slope * slope;
      }
      // Answers that blur into each other are counted more than once.
      return mass === 0 ? 0 : gain / Math.max(1, mass);
    },
  };
}

/** The shot under whose name it is known to the model, in a band that the model has. */
function asPlayed(
  station: Station,
  cell: number | null,
  prior: Prior,
): Pick<Station, 'shotType' | 'surface' | 'sit' | 'stance' | 'distanceM'> {
  const { shotType, surface, sit, stance, distanceM } = station;
  const band = cell === null ? null : prior.cells[cell]!.band;
  const lo = band ? band.min * METRES_PER[band.unit] : 0;
  const hi = band?.max ? band.max * METRES_PER[band.unit] - 0.01 : Infinity;
  return { shotType, surface, sit, stance, distanceM: Math.min(hi, Math.max(lo, distanceM)) };
}

/** V·g: variances believed before any ball, each times the slope of the expected strokes. */
type Weights = { cell: number; rest: Float64Array };

const STEP = 0.05;

function shotWeights(cell: number, prior: Prior, judge: Judge, { delta, rest }: Middle): Weights {
  const slope = (at: (by: number) => number) => (at(STEP) - at(-STEP)) / (2 * STEP);
  const weights = { cell: 0, rest: new Float64Array(rest.length) };
  weights.cell = prior.covariance[cell * prior.offGreen + cell]! * slope((by) => judge.expected(cell, delta[cell]! + by, rest[SPREAD]!));
  weights.rest[SPREAD] = SDS.logSpread ** 2 * slope((by) => judge.expected(cell, delta[cell]!, rest[SPREAD]! + by));
  return weights;
}

function puttWeights(ft: number, inBands: Float64Array, prior: Prior, { rest }: Middle): Weights {
  const { bands } = prior;
  const length = lengthAt(bands);
  const here = puttingOf(prior, rest, inBands);
  const strokes = (byAngle: number, byLength: number) => {
    const skill = { angle: here.angle * Math.exp(byAngle), distance: here.distance * Math.exp(byLength) };
    return 1 + (1 - makeRate(skill, ft)) * afterMiss(skill, ft).putts;
  };
  const byAngle = (strokes(STEP, 0) - strokes(-STEP, 0)) / (2 * STEP);
  const byLength = (strokes(0, STEP) - strokes(0, -STEP)) / (2 * STEP);
  const weights = { cell: 0, rest: new Float64Array(rest.length) };
  weights.rest[ANGLE] = SDS.angle ** 2 * byAngle;
  weights.rest[length] = SDS.length ** 2 * byLength;
  inBands.forEach((share, b) => {
    weights.rest[ANGLE + 1 + b] = SDS.angleBand ** 2 * share * byAngle;
    weights.rest[length + 1 + b] = SDS.lengthBand ** 2 * share * byLength;
  });
  return weights;
}
