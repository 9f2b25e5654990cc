import { deviation } from 'd3-array';
import { dayWeight } from '../board/over-time';
import { RINGS_TELL } from '../board/settle';
import { normalQuantile } from '../math/normal';
import { believe, strokesLost } from '../skill/diagnose';
import type { SkillModel } from '../skill/model';

/** A real change is to be called likely (three chances in four) as often as this. */
export const SEEN = 0.8;
const LIKELY = 0.75;

/** Nobody changes by more than so many times what players of a level differ by. A judgement. */
const MOST_CHANGE = 2;

/** So many balls of a shot, in rings, on each of so many days; `inAll`: with the others of the day, which share its form. */
export type Test = { days: number; balls: number; inAll: number };

/**
 * The change that a test before and the same test afterwards would show four times in five, of a shot off the green, in strokes a shot. By luck
 * they differ with the standard deviation σ = s·√(2/n), n balls as a comparison of times weighs them, each for what its ring tells. A change is
 * called likely where it is three to one that there is one, by what is expected of changes, τ (`changeTold`), which takes
 * d = σ·(z(.8) + z(.75)·√(1 + σ²/τ²)). What that comes to on made-up players prints `npm run bench:plan -- --tests`.
 * @param perBall s, by how many strokes single balls of the shot scatter
 * @param couldBe τ, by how many strokes players of a level differ
 * @returns null where that is more than anybody changes: so few balls show nothing
 */
export function changeShown({ days, balls, inAll }: Test, { perBall, couldBe }: { perBall: number; couldBe: number }): number | null {
  const counting = days * balls * RINGS_TELL * dayWeight(inAll, 1);
  const error = perBall * Math.sqrt(2 / counting);
  const change = error * (normalQuantile(SEEN) + normalQuantile(LIKELY) * Math.sqrt(1 + (error / couldBe) ** 2));
  return change <= MOST_CHANGE * couldBe ? change : null;
}

/** By how many strokes a shot players of a level differ in each cell, before a ball is known of them. */
export function couldBe(model: SkillModel, level: number): number[] {
  const lost = strokesLost(model, believe({ groups: [] }, model, level), { finishes: new Map() }, { level });
  return lost.map((values) => deviation(values)!);
}
