import type { Finding } from '../skill/diagnose';
import type { Lost } from '../skill/judge';

/** What is said of each cell, and the draws behind it. */
export type Judged = { findings: readonly Finding[]; lost: Lost };

/** Which way a board counts: each shot alike, or each as often as it comes up in a round. */
export type Per = 'shot' | 'round';

export const rankOf = (finding: Finding, per: Per) => (per === 'shot' ? finding.perShot : finding.perRound);

/** The probability that cell `a` loses at least as much as cell `b`. */
export function losesMore({ lost }: { lost: Lost }, weights: readonly number[], a: number, b: number): number {
  const [one, other] = [lost[a]!, lost[b]!];
  let more = 0;
  for (let i = 0; i < one.length; i++) if (one[i]! * weights[a]! >= other[i]! * weights[b]!) more++;
  return one.length === 0 ? 0 : more / one.length;
}

/** Cells that can't be told apart from the first: the chance that one of them loses more than it is above this. */
const TOLD_APART = 0.2;

/**
 * The weakest cell that was played, those played that can't be told apart from it yet, likeliest first, and those never
 * played that could cost as much; indices of findings.
 */
export type Weakest = { first: number; near: number[]; unknown: number[] };

/** With more that are too close to call, no one is named as the weakest. */
const MOST_NEAR = 7;

/** Whether the weakest stands out at all. */
export const standsOut = ({ near }: Weakest) => near.length <= MOST_NEAR;

/**
 * The cell that is likeliest among the three weakest, with its near-ties. Cells that gain are nobody's weakness, and of a
 * cell without a ball nothing is said but that it could be one.
 * @returns null where no cell that was played is likelier to lose than to gain
 */
export function weakestOf(diagnosis: Judged, per: Per): Weakest | null {
  const { findings } = diagnosis;
  const weights = findings.map((finding) => (per === 'shot' ? 1 : finding.uses));
  const order = findings
    .flatMap(({ ranked }, i) => (ranked ? [i] : []))
    .sort((a, b) => {
      const [one, other] = [rankOf(findings[a]!, per), rankOf(findings[b]!, per)];
      return other.weakest3 - one.weakest3 || other.mean - one.mean;
    });
  const [first, ...others] = order.filter((i) => findings[i]!.balls > 0 && rankOf(findings[i]!, per).mean > 0);
  if (first === undefined) return null;
  const asMuch = (i: number) => losesMore(diagnosis, weights, i, first) > TOLD_APART;
  return { first, near: others.filter(asMuch), unknown: order.filter((i) => findings[i]!.balls === 0 && asMuch(i)) };
}

/**
 * Of an exactly measured ball, how much one whose ring is known tells about a player: from .4 to .9, by how well the
 * rings fit; a judgement in between.
 */
export const RINGS_TELL = 0.6;

/** What is known of the strokes lost in one cell: their mean and variance, and what a single ball scatters by. */
function openOf({ findings, lost }: Judged, per: Per, i: number) {
  const weight = per === 'shot' ? 1 : findings[i]!.uses;
  const values = lost[i]!;
  const mean = values.reduce((sum, value) => sum + value, 0) / values.length;
  const variance = values.reduce((sum, value) => sum + (value - mean) ** 2, 0) / values.length;
  return { mean: weight * mean, variance: weight * weight * variance, ball: (weight * findings[i]!.perBall) ** 2 };
}

/** A variance after so many more balls: v/(1 + v·n·e/(s·dE/dμ)²), with e what a ball whose ring is known tells of an exact one. */
const varianceAfter = ({ variance, ball }: { variance: number; ball: number }, n: number) =>
  variance / (1 + (variance * n * RINGS_TELL) / Math.max(1e-9, ball));

/** By how much one more ball of a cell narrows the variance of the strokes lost. */
export function dropOfOne(judged: Judged, per: Per, cell: number): number {
  const open = openOf(judged, per, cell);
  return open.variance - varianceAfter(open, 1);
}

/** Two cells are told apart when it is four to one which loses more. */
const Z_SURE = 0.8416212335729143;
/** More balls than this of each are no advice. */
export const MOST_BALLS = 300;

/**
 * About how many more balls of each of two cells would tell which of them loses more: until the gap between their means
 * is as wide as four chances in five need.
 * @returns null where more than 300 would be needed
 */
export function ballsToSettle(judged: Judged, per: Per, a: number, b: number): number | null {
  const [one, other] = [openOf(judged, per, a), openOf(judged, per, b)];
  const gap = Math.abs(one.mean - other.mean);
  const after = (n: number) => varianceAfter(one, n) + varianceAfter(other, n);
  if (after(MOST_BALLS) * Z_SURE ** 2 > gap * gap) return null;
  let [low, high] = [0, MOST_BALLS];
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if (after(middle) * Z_SURE ** 2 > gap * gap) low = middle;
    else high = middle;
  }
  return high;
}
