import type { SkillModel } from '../skill/model';
import type { Part } from '../hour/hour';
import { fillHour, type FillOrder } from './fill';
import type { FilledParts } from './filled';
import { knownOf, type ProposalTask } from './proposal-task';

/** Parts to be filled, asked for as plain data. */
export type FillTask = Omit<ProposalTask, 'kind' | 'order' | 'players' | 'which'> & {
  kind: 'fill';
  order: Omit<FillOrder, 'players' | 'taken'>;
  players: readonly (ProposalTask['players'][number] & { clubs: readonly string[] })[];
  parts: readonly Part[];
};

/**
 * Fills them.
 * @throws RangeError where it was asked of another model
 */
export function doFill(model: SkillModel, { version, order, players, parts }: FillTask): FilledParts {
  const known = knownOf(model, version, players).map((player, i) => ({ ...player, clubs: players[i]!.clubs }));
  return fillHour({ ...order, players: known }, parts, model);
}
