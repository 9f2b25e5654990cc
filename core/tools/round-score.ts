import { greensHit } from '../golf/approach';
import { along, type Curve } from '../math/piecewise';
import type { ShortGame } from './short-game';

/** Average scores over par of 18 holes, by level: players score about three more than their handicap. A judgement. */
const AVERAGE_OVER: Curve = [
  [-5, -1],
  [0, 3],
  [10, 13.5],
  [18, 22],
  [28, 33],
  [54, 60],
];
export const HOLES = 18;

/** A round: greens hit in 18 holes, strokes beyond the short game on a hole whose green was missed, and the short game. */
export type Round = { greens: number; extra: number; game: ShortGame };

/** What a round comes to, over par: on average and spread by luck; holes at par or better, one over, and worse. */
export type RoundScore = { over: number; p10: number; p90: number; pars: number; bogeys: number; worse: number };

/** Chances of a hole to end so much over par, from two under. */
const FROM = -2;
const MOST = 14;

/** The chances of one hole. */
function holeOf({ greens, extra, game }: Round): Float64Array {
  const chances = new Float64Array(MOST);
  const hit = Math.min(1, Math.max(0, greens / HOLES));
  // A green that is hit leaves two putts for par.
  game.green.forEach((p, i) => (chances[i + 1 - 2 - FROM]! += hit * p));
  // One that is missed leaves two strokes from beside it, and what went wrong before is Poisson.
  let poisson = Math.exp(-extra);
  for (let lost = 0; lost < 8; lost++) {
    game.near.forEach((p, i) => {
      const at = Math.min(MOST - 1, i + 1 - 2 - FROM + lost);
      chances[at]! += (1 - hit) * p * poisson;
    });
    poisson *= extra / (lost + 1);
  }
  const all = chances.reduce((a, b) => a + b, 0);
  return chances.map((p) => p / all);
}

/** Rounds of 18 holes (or fewer): the chances of each score over par. */
export function roundScore(round: Round, holes = HOLES): RoundScore {
  const hole = holeOf(round);
  let scores = new Float64Array([1]);
  for (let n = 0; n < holes; n++) {
    const next = new Float64Array(scores.length + MOST - 1);
    scores.forEach((p, i) => hole.forEach((q, j) => (next[i + j]! += p * q)));
    scores = next;
  }
  const mean = hole.reduce((sum, p, i) => sum + p * (i + FROM), 0) * holes;
  const quantile = (share: number) => {
    let below = 0;
    for (let i = 0; i < scores.length; i++) if ((below += scores[i]!) >= share) return i + FROM * holes;
    return scores.length - 1 + FROM * holes;
  };
  const upTo = (over: number) => hole.slice(0, over - FROM + 1).reduce((a, b) => a + b, 0);
  return {
    over: mean,
    p10: quantile(0.1),
    p90: quantile(0.9),
    pars: holes * upTo(0),
    bogeys: holes * (upTo(1) - upTo(0)),
    worse: holes * (1 - upTo(1)),
  };
}

/** How often two strokes are enough from beside the green. */
export const upAndDown = ({ near }: ShortGame): number => near[0]! + near[1]!;
/** How often a green that was hit takes three putts or more. */
export const threePutts = ({ green }: ShortGame): number => green[2]! + green[3]!;

/** The same short game with another rate of up and downs: what fails comes off, or what came off fails, in proportion. */
export function withUpAndDown(game: ShortGame, rate: number): ShortGame {
  const now = upAndDown(game);
  const [good, bad] = [now > 0 ? rate / now : 0, now < 1 ? (1 - rate) / (1 - now) : 0];
  return { ...game, near: game.near.map((p, i) => (now === 0 && i === 1 ? rate : p * (i < 2 ? good : bad))) };
}

/**
 * What a level loses beyond its short game on a hole whose green it misses, so that its rounds come to the average of its level.
 * @param game the level's own
 */
export function extraOfLevel(level: number, game: ShortGame): number {
  const greens = greensHit(level);
  const want = along(AVERAGE_OVER, level);
  const short = roundScore({ greens, extra: 0, game }).over;
  return Math.max(0, (want - short) / Math.max(0.5, HOLES - greens));
}

/** What one thing alone has to become for a score; null where it alone is not enough. */
export type Takes = { upAndDown: number | null; greens: number | null };

/** More up and downs than this nobody has. */
const BEST_RATE = 0.75;

/** What a wanted score over par takes: the rate of up and downs with the greens as they are, or the greens with the short game as it is. */
export function takes(round: Round, wanted: number, holes = HOLES): Takes {
  const solve = (low: number, high: number, over: (value: number) => number) => {
    if (over(high) > wanted) return null;
    let [bad, good] = [low, high];
    for (let n = 0; n < 30; n++) {
      const middle = (bad + good) / 2;
      if (over(middle) <= wanted) good = middle;
      else bad = middle;
    }
    return good;
  };
  return {
    upAndDown: solve(
      upAndDown(round.game),
      BEST_RATE,
      (rate) => roundScore({ ...round, game: withUpAndDown(round.game, rate) }, holes).over,
    ),
    greens: solve(round.greens, HOLES, (greens) => roundScore({ ...round, greens }, holes).over),
  };
}
