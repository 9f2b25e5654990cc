import { isPutt } from '../golf/shot-types';
import type { Cell } from '../skill/cells';
import { believe } from '../skill/diagnose';
import type { SkillModel } from '../skill/model';
import { narrowMost, OpenStrokes, type Batch } from './open';

/** Nobody lays out tap-ins, however much they would say. */
export const isTapIn = ({ shotType, band }: Pick<Cell, 'shotType' | 'band'>) => isPutt(shotType) && band.min === 0;

/** What is open of a player of whom nothing is known but a level. */
function openAt(model: SkillModel, level: number): OpenStrokes {
  const judge = model.judge(level, level);
  const mix = model.mix(level);
  return new OpenStrokes({
    lost: judge.lost(believe({ groups: [] }, model, level).draws),
    uses: model.cells.map(({ key }) => mix.get(key) ?? 0),
    perBall: model.cells.map((_, i) => judge.perBall(i)),
  });
}

/**
 * The shots with which to begin with somebody of whom nothing is known but a level: batch by batch the one that narrows most what their
 * strokes in a round could be.
 * @param batches how many places there are
 * @param balls hit from each
 */
export function firstLook(model: SkillModel, level: number, batches: number, balls: number): Batch[] {
  const allowed = model.cells.flatMap((cell, i) => (isTapIn(cell) ? [] : [i]));
  return narrowMost(openAt(model, level), { batches, balls, allowed });
}

/** What share of the variances is left open after some balls, for a player of a level. */
export function leftOpen(model: SkillModel, level: number, batches: readonly Batch[]): number {
  const open = openAt(model, level);
  const before = open.total;
  for (const batch of batches) open.hit(batch);
  return open.total / before;
}
