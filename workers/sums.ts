import { doSum } from '@/core/skill/sums';

/** The long sums of pages, on threads of their own (server/sums.ts). */
export default doSum;
