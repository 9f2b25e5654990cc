import { setPriority } from 'node:os';
import { shippedReference } from '@/core/golf/reference';
import { modelOf } from '@/core/skill/model';
import { doSum, type SumTask } from '@/core/board/sums';
import { doProposal, type ProposalTask } from '@/core/plan/proposal-task';

/** Of this thread alone: where the machine is busy, whoever answers a request comes first. */
setPriority(0, 10);

const model = modelOf(shippedReference);

export default function answer(task: SumTask | ProposalTask) {
  return task.kind === 'proposal' ? doProposal(model, task) : doSum(model, task);
}
