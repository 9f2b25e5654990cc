import { setPriority } from 'node:os';
import { shippedReference } from '@/core/golf/reference';
import { modelOf } from '@/core/skill/model';
import { doSum, type SumTask } from '@/core/board/sums';

/** Of this thread alone: where the machine is busy, whoever answers a request comes first. */
setPriority(0, 10);

const model = modelOf(shippedReference);

export default function answer(task: SumTask) {
  return doSum(model, task);
}
