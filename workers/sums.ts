import { setPriority } from 'node:os';
import { shippedReference } from '@/core/golf/reference';
import { modelOf } from '@/core/skill/model';
import { doSum, type SumTask } from '@/core/board/sums';
import { doLevelChart, type LevelChartTask } from '@/core/forecast/level-chart';
import { doNeed, type NeedTask } from '@/core/plan/by-need';
import { doBlockTest, type BlockTestTask } from '@/core/plan/block-test';
import { doFill, type FillTask } from '@/core/plan/fill-task';
import { doProposal, type ProposalTask } from '@/core/plan/proposal-task';
import { doShortGame, type ShortGameTask } from '@/core/tools/short-game-task';

/** Of this thread alone: where the machine is busy, whoever answers a request comes first. */
setPriority(0, 10);

const model = modelOf(shippedReference);

export default function answer(task: SumTask | ProposalTask | FillTask | BlockTestTask | NeedTask | ShortGameTask | LevelChartTask) {
  if (task.kind === 'level_chart') return doLevelChart(model, task);
  if (task.kind === 'short_game') return doShortGame(model, task);
  if (task.kind === 'fill') return doFill(model, task);
  if (task.kind === 'by_need') return doNeed(model, task);
  if (task.kind === 'block_test') return doBlockTest(model, task);
  return task.kind === 'proposal' ? doProposal(model, task) : doSum(model, task);
}
