import { shippedReference } from '@/core/golf/reference';
import { modelOf } from '@/core/skill/model';

/** The model with which desks read records: over the reference that ships with the program. The sums' threads have the same (workers/sums.ts). */
export const deskModel = modelOf(shippedReference);
