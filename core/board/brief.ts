import { rankOfValues } from '../skill/ranks';
import type { Diagnosis } from '../skill/diagnose';
import { together } from './kinds';
import { nextOf, type Next } from './next';
import { standsOut, weakestOf } from './settle';

/** Counts up when a brief is made in another way: those that were kept are made anew. */
export const BRIEF_VERSION = 3;

/** Strokes lost in a round, and between what they lie eight times in ten. */
export type Lost = { mean: number; interval80: [number, number] };

/** Whether a player got better: the last four weeks against all before, told from the balls of each alone. */
export type Trend = { before: number; since: number; of: [number, number]; chanceBetter: number };

/** One player in a line: what is known, and what comes next. Cells by their keys. */
export type Brief = {
  balls: number;
  /** All shots together. */
  lost: Lost;
  /**
   * The weakest shot that was played; `sure`: how likely it is to be among the three weakest; `near`: how many others are too close to
   * call; `clear`: whether it stands out from them.
   */
  weakest: (Lost & { key: string; sure: number; near: number; clear: boolean }) | null;
  next: { why: Next['why']; keys: string[]; balls: number | null };
  trend: Trend | null;
};

/** A player in a line, by what a round costs. */
export function briefOf(diagnosis: Diagnosis, balls: number, trend: Trend | null): Brief {
  const { findings, lost } = diagnosis;
  const all = findings.map((_, i) => i);
  const uses = findings.map((finding) => finding.uses);
  const weakest = weakestOf(diagnosis, 'round');
  const first = weakest && findings[weakest.first]!;
  const next = nextOf(diagnosis, weakest, 'round', balls);
  return {
    balls,
    lost: rankOfValues(together(lost, all, uses)),
    weakest: first && {
      key: first.key,
      mean: first.perRound.mean,
      interval80: first.perRound.interval80,
      sure: first.perRound.weakest3,
      near: weakest.near.length,
      clear: standsOut(weakest),
    },
    next: { why: next.why, keys: next.cells.map((i) => findings[i]!.key), balls: next.why === 'close' ? next.balls : null },
    trend,
  };
}
