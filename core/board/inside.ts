import type { Point } from '../geometry/point';
import { normalCdf } from '../math/normal';
import { median } from '../math/median';
import { missDirection, type MissDirection } from '../shot/direction';
import { holedIn, leftInterval, type LeftInterval } from '../shot/evidence';
import { finishingPutts } from '../shot/finishing';
import { medianLeft, type MedianLeft } from '../shot/median-left';
import type { Shot } from '../shot/shot';
import type { Reference } from '../skill/reference';
import { strokesLost } from '../skill/strokes-lost';

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

/** A club, or a trajectory, and what it loses here against the level, with its uncertainty. */
export type Choice = { name: string; balls: number; lost: number; sd: number };
/** How likely it is that the first loses less than the second. */
export type Versus = { better: string; worse: string; chance: number };
export type Ranking = { choices: Choice[]; versus: Versus | null };

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
  pairs: { pairs: number; mean: number; sd: number; chanceHighBetter: number } | null;
  /** Played for another distance than the tape says: how many, and by how much on average, in metres. */
  intended: { balls: number; meanM: number } | null;
  /** Where it landed against the spot that was aimed at, signed, + is long: the mean of so many, in metres. */
  landing: { balls: number; meanM: number } | null;
  upAndDown: UpAndDown | null;
};

/** Of balls that were finished from off the green: how many in two, and of the others which of the two cost more. */
export type UpAndDown = { balls: number; inTwo: number; shot: number; putt: number };

/** @param shots ordinary balls of one player from one cell */
export function insideOf(shots: readonly Shot[], level: number, reference: Reference): Inside {
  const left = shots.map(leftInterval).filter((one) => one !== null);
  const marked = shots.filter(({ finish }) => finish !== null);
  const played = shots.filter(({ intendedM }) => intendedM !== null);
  const landed = shots.filter(({ landingErrorM }) => landingErrorM !== null);
  const lostOf = (shot: Shot) => strokesLost(shot, level, reference);
  const mishits = { fat: 0, thin: 0, shank: 0 };
  for (const { mishit } of shots) if (mishit) mishits[mishit] += 1;
  return {
    balls: shots.reduce((sum, { nBalls }) => sum + nBalls, 0),
    left,
    median: medianLeft(shots[0]?.shotType === 'putt' ? left.filter(({ to }) => to > 0) : left),
    holed: shots.filter(holedIn).length,
    spread: spreadOf(shots),
    mishits,
    offGreen: { balls: marked.filter(({ finish }) => finish !== 'green').length, of: marked.length },
    clubs: rankingOf(shots, ({ clubLabel }) => clubLabel, lostOf),
    trajectories: rankingOf(shots, ({ trajectory }) => trajectory, lostOf),
    pairs: pairsOf(shots, lostOf),
    intended: meanOf(played.map(({ intendedM, distanceM }) => intendedM! - distanceM)),
    landing: meanOf(landed.map(({ landingErrorM }) => landingErrorM!)),
    upAndDown: upAndDownOf(shots, level, reference),
  };
}

const mean = (values: readonly number[]) => values.reduce((a, b) => a + b, 0) / values.length;
const meanOf = (metres: readonly number[]) => (metres.length === 0 ? null : { balls: metres.length, meanM: mean(metres) });

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
  const centre: Point = [mean(finishes.map(({ right }) => right)), mean(finishes.map(({ beyond }) => beyond))];
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

/** How far clubs, or trajectories, of one player lie apart in one cell, in strokes: a judgement, in which few balls drown. */
const CHOICES_SD = 0.12;
/** Balls of one cell spread at least so much, in strokes. */
const LEAST_BALL_SD = 0.15;

/**
 * Clubs or trajectories by what they lose, least first: each mean shrunk towards the cell's own, as normal means about it
 * are. Only balls that name theirs count.
 */
function rankingOf(shots: readonly Shot[], nameOf: (shot: Shot) => string | null, lostOf: (shot: Shot) => number | null): Ranking {
  const by = new Map<string, number[]>();
  for (const shot of shots) {
    const [name, lost] = [nameOf(shot), lostOf(shot)];
    if (name !== null && lost !== null) by.set(name, [...(by.get(name) ?? []), lost]);
  }
  if (by.size < 2) return { choices: [], versus: null };
  const all = [...by.values()].flat();
  const centre = mean(all);
  const within = [...by.values()].reduce((sum, list) => sum + list.reduce((s, value) => s + (value - mean(list)) ** 2, 0), 0);
  const variance = Math.max(LEAST_BALL_SD ** 2, within / Math.max(1, all.length - by.size));
  const choices = [...by]
    .map(([name, list]): Choice => {
      const known = list.length / variance;
      const precision = known + 1 / CHOICES_SD ** 2;
      return { name, balls: list.length, lost: centre + (known / precision) * (mean(list) - centre), sd: Math.sqrt(1 / precision) };
    })
    .sort((a, b) => a.lost - b.lost);
  const [best, worst] = [choices[0]!, choices.at(-1)!];
  const chance = normalCdf((worst.lost - best.lost) / Math.hypot(best.sd, worst.sd));
  return { choices, versus: { better: best.name, worse: worst.name, chance } };
}

/** A pair of trajectories differs about so much, in strokes. */
const PAIR_SD = 0.2;

/** Low against high from one station of one session: what the station and the day do to both drops out. */
function pairsOf(shots: readonly Shot[], lostOf: (shot: Shot) => number | null): Inside['pairs'] {
  const at = new Map<string, { low: number[]; high: number[] }>();
  for (const shot of shots) {
    const lost = lostOf(shot);
    if (lost === null || (shot.trajectory !== 'low' && shot.trajectory !== 'high')) continue;
    const key = `${shot.sessionId}|${shot.stationKey}|${shot.distanceM}`;
    const held = at.get(key) ?? { low: [], high: [] };
    held[shot.trajectory].push(lost);
    at.set(key, held);
  }
  const gaps = [...at.values()].flatMap(({ low, high }) => (low.length > 0 && high.length > 0 ? [mean(high) - mean(low)] : []));
  if (gaps.length === 0) return null;
  const variance =
    gaps.length < 2 ? 1 : Math.max(LEAST_BALL_SD ** 2, gaps.reduce((s, g) => s + (g - mean(gaps)) ** 2, 0) / (gaps.length - 1));
  const known = gaps.length / variance;
  const precision = known + 1 / PAIR_SD ** 2;
  const [middle, sd] = [(known / precision) * mean(gaps), Math.sqrt(1 / precision)];
  return { pairs: gaps.length, mean: middle, sd, chanceHighBetter: normalCdf(-middle / sd) };
}

/** Was it the chip or the putt? Of balls finished in more than two strokes, the one of the two that lost more. */
function upAndDownOf(shots: readonly Shot[], level: number, reference: Reference): UpAndDown | null {
  const finished = shots.filter((shot) => shot.shotType !== 'putt' && shot.strokes !== null);
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
