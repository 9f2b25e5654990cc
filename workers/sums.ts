import { setPriority } from 'node:os';
import { doSum } from '@/core/skill/sums';

/** Of this thread alone: where the machine is busy, whoever answers a request comes first. */
setPriority(0, 10);

export default doSum;
