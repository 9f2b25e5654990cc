import { mean } from 'd3-array';
import { isPutt } from '../golf/shot-types';
import type { Point } from '../geometry/point';
import { median } from '../math/median';
import { missDirection, type MissDirection } from '../shot/direction';
import { holedIn, leftInterval, type LeftInterval } from '../shot/evidence';
import { finishingPutts } from '../shot/finishing';
import { medianLeft, type MedianLeft } from '../shot/median-left';
import type { Shot } from '../shot/shot';
import type { Reference } from '../golf/reference';
import type { SkillModel } from '../skill/model';
import { strokesLost } from '../skill/strokes-lost';
import { pairsOf, rankingOf, type Pairs, type Ranking } from './choices';

/** A finish seen from the hole, in metres: to the right of the line of play, and beyond the hole. */
export type Finish = { right: number; beyond: number };

/** Where misses lie: their middle, and an ellipse round it that holds about two in three, if they spread as normal ones do. */
export type Spread = {
  of: number;
  middle: Finish;
  /** Half axes in metres, and how far the longer one is turned clockwise from the line of play, in degrees. */
  ellipse: { long: number; short: number; turnDeg: number } | null;
  word: MissDirection | null;
  /** How many stopped left of the line of play. */
  left: number;
};

/** What stands behind one cell, beyond what the model says of it. */
export type Inside = {
  balls: number;
  left: LeftInterval[];
  median: MedianLeft | null;
  holed: number;
  spread: Spread | null;
  mishits: { fat: number; thin: number; shank: number };
  /** First balls that stayed off the green, of those whose finish was marked. */
  offGreen: { balls: number; of: number };
  clubs: Ranking;
  trajectories: Ranking;
  /** The same station in the same session, low and high: the mean difference in strokes, high minus low, of so many pairs. */
  pairs: Pairs | null;
  /** Played for another distance than the tape says: how many, and by how much on average, in metres. */
  intended: { balls: number; meanM: number } | null;
  /** Where it landed against the spot that was aimed at, signed, + is long: the mean of so many, in metres. */
  landing: { balls: number; meanM: number } | null;
  upAndDown: UpAndDown | null;
};

/** Of balls that were finished from off the green: how many in two, and of the others which of the two cost more. */
export type UpAndDown = { balls: number; inTwo: number; shot: number; putt: number };

/** @param shots ordinary balls of one player from one cell */
export function insideOf(shots: readonly Shot[], level: number, model: SkillModel): Inside {
  const { reference } = model;
  const left = shots.map(leftInterval).filter((one) => one !== null);
  const marked = shots.filter(({ finish }) => finish !== null);
  const played = shots.filter(({ intendedM }) => intendedM !== null);
  const landed = shots.filter(({ landingErrorM }) => landingErrorM !== null);
  const mishits = { fat: 0, thin: 0, shank: 0 };
  for (const { mishit } of shots) if (mishit) mishits[mishit] += 1;
  return {
    balls: shots.reduce((sum, { nBalls }) => sum + nBalls, 0),
    left,
    median: medianLeft(shots[0] && isPutt(shots[0].shotType) ? left.filter(({ to }) => to > 0) : left),
    holed: shots.filter(holedIn).length,
    spread: spreadOf(shots),
    mishits,
    offGreen: { balls: marked.filter(({ finish }) => finish !== 'green').length, of: marked.length },
    clubs: rankingOf(shots, ({ clubLabel }) => clubLabel, level, model),
    trajectories: rankingOf(shots, ({ trajectory }) => trajectory, level, model),
    pairs: pairsOf(shots, level, model),
    intended: meanOf(played.map(({ intendedM, distanceM }) => intendedM! - distanceM)),
    landing: meanOf(landed.map(({ landingErrorM }) => landingErrorM!)),
    upAndDown: upAndDownOf(shots, level, reference),
  };
}

const meanOf = (metres: readonly number[]) => (metres.length === 0 ? null : { balls: metres.length, meanM: mean(metres)! });

/** Where a ball stopped, if both distance and direction are known; left-handers see the same picture. */
export function finishOf({ leftM, bearingDeg, holed }: Pick<Shot, 'leftM' | 'bearingDeg' | 'holed'>): Finish | null {
  if (holed || leftM === null || bearingDeg === null) return null;
  const angle = (bearingDeg * Math.PI) / 180;
  return { right: leftM * Math.sin(angle), beyond: leftM * Math.cos(angle) };
}

/** A normal pair lies inside so many standard deviations two times in three: √(−2 ln ⅓). */
const TWO_IN_THREE = Math.sqrt(2 * Math.log(3));
const LEAST_SPREAD = 5;

function spreadOf(shots: readonly Shot[]): Spread | null {
  const finishes = shots.map(finishOf).filter((one) => one !== null);
  if (finishes.length === 0) return null;
  const middle = { right: median(finishes.map(({ right }) => right)), beyond: median(finishes.map(({ beyond }) => beyond)) };
  const word = missDirection(shots);
  const left = finishes.filter(({ right }) => right < 0).length;
  if (finishes.length < LEAST_SPREAD) return { of: finishes.length, middle, ellipse: null, word, left };
  const centre: Point = [mean(finishes, ({ right }) => right)!, mean(finishes, ({ beyond }) => beyond)!];
  const n = finishes.length - 1;
  const cov = (a: (f: Finish) => number, b: (f: Finish) => number) => finishes.reduce((sum, f) => sum + a(f) * b(f), 0) / n;
  const [x, y] = [(f: Finish) => f.right - centre[0], (f: Finish) => f.beyond - centre[1]];
  const [xx, yy, xy] = [cov(x, x), cov(y, y), cov(x, y)];
  const [half, root] = [(xx + yy) / 2, Math.hypot((xx - yy) / 2, xy)];
  return {
    of: finishes.length,
    middle,
    ellipse: {
      long: TWO_IN_THREE * Math.sqrt(half + root),
      short: TWO_IN_THREE * Math.sqrt(Math.max(0, half - root)),
      turnDeg: (Math.atan2(2 * xy, yy - xx) / 2) * (180 / Math.PI),
    },
    word,
    left,
  };
}

/** Was it the chip or the putt? Of balls finished in more than two strokes, the one of the two that lost more. */
function upAndDownOf(shots: readonly Shot[], level: number, reference: Reference): UpAndDown | null {
  const finished = shots.filter((shot) => !isPutt(shot.shotType) && shot.strokes !== null);
  if (finished.length === 0) return null;
  let [shot, putt] = [0, 0];
  for (const ball of finished) {
    const putts = finishingPutts(ball);
    if (ball.strokes! <= 2 || !putts) continue;
    const expected = reference.putts(level, putts.distanceM);
    const byShot = strokesLost({ ...ball, strokes: null }, level, reference) ?? 0;
    if (byShot > putts.strokes - expected) shot++;
    else putt++;
  }
  return { balls: finished.length, inTwo: finished.filter(({ strokes }) => strokes! <= 2).length, shot, putt };
}
