import * as z from 'zod';
import { BREAKS, DISTANCE_UNITS, SLOPES } from '../game/station';
import { longestM } from '../golf/bands';
import { snap } from '../units/length';

/** Putts along one line: from the first rung on, each so much farther than the one before; how the line runs. */
export const rungsSchema = z
  .object({
    firstM: z.number({ error: 'Enter the first distance.' }).min(0.3, 'At least 1 ft (0.3 m).').max(15, 'At most 49 ft (15 m).'),
    stepM: z.number({ error: 'Enter the step.' }).min(0.1, 'At least 4 in (0.1 m).').max(5, 'At most 16 ft (5 m).'),
    rungs: z.int({ error: 'Enter a whole number.' }).min(2, 'Two at least.').max(12, 'At most 12.'),
    unit: z.enum(DISTANCE_UNITS),
    slope: z.enum(SLOPES).nullable(),
    breaks: z.enum(BREAKS).nullable(),
  })
  .superRefine(({ firstM, stepM, rungs }, ctx) => {
    if (firstM + (rungs - 1) * stepM > longestM('putt'))
      ctx.addIssue({ code: 'custom', path: ['rungs'], message: 'The last rung is too far for a putt.' });
  });
export type Rungs = z.infer<typeof rungsSchema>;

/** The distances of the rungs, in metres on the storage grid. */
export function rungDistances({ firstM, stepM, rungs }: Pick<Rungs, 'firstM' | 'stepM' | 'rungs'>): number[] {
  return Array.from({ length: rungs }, (_, i) => snap(firstM + i * stepM));
}
