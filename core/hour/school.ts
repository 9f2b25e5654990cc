import * as z from 'zod';
import { documentKind, type Step } from '../document';
import { filledLine } from '../stored';

/** How much of an hour is the same shot again and again. */
export const REPETITIONS = ['none', 'small', 'growing'] as const;

/** How a coach divides an hour: on each of these the schools disagree. */
export const schoolSchema = z.strictObject({
  name: filledLine(40, 'Give it a name.'),
  repetition: z.enum(REPETITIONS).default('small'),
  /** Weeks for which technique has been rebuilt so far: with `growing` its share grows by them. */
  weeks: z.int({ error: 'Enter whole weeks.' }).min(0, 'At least 0 weeks.').max(12, 'At most 12 weeks.').default(0),
  /** Confidence from easy shots first, or the awkward ones at once. */
  begins: z.enum(['easy', 'awkward']).default('awkward'),
  attempts: z.enum(['first', 'until_works']).default('first'),
  /** What is aimed at before the other: where it lands, or where it finishes. */
  aims: z.enum(['landing', 'finish']).default('landing'),
  /** The same test before and after. */
  again: z.boolean().default(false),
});
export type School = z.infer<typeof schoolSchema>;

/** How the shape of schools changed, step by step. */
const STEPS: readonly Step[] = [];
/** A coach's own schools, as they were stored. */
export const storedSchools = documentKind<School>(STEPS);

/** A school to begin with, with its reason and what it costs. */
export type Preset = { key: string; reason: string; cost: string; school: School };

const preset = (key: string, name: string, reason: string, cost: string, more: Partial<School>): Preset => ({
  key,
  reason,
  cost,
  school: schoolSchema.parse({ name, ...more }),
});

export const PRESETS: readonly Preset[] = [
  preset('settle', 'Settle, then mix', 'A short block to settle, then every ball is different.', 'A fifth of the time is blocked.', {}),
  preset(
    'mixed',
    'Mixed from the start',
    'Every ball is a new shot, as on the course. What you learn lasts.',
    'Your practice scores look worse.',
    {
      repetition: 'none',
    },
  ),
  preset(
    'rebuild',
    'Rebuilding a technique',
    'A new movement needs blocked practice, more of it each week.',
    'Scores stand still meanwhile.',
    {
      repetition: 'growing',
    },
  ),
  preset('easy', 'Confidence first', 'Begin with shots that come off, then move on.', 'Less time on what costs strokes.', {
    begins: 'easy',
  }),
  preset('works', 'Again until it works', 'Every shot ends with a good one.', 'Second tries say nothing about the first.', {
    attempts: 'until_works',
  }),
  preset('finish', 'Finish first', 'Only where the ball ends counts.', 'You may not learn why it ended there.', { aims: 'finish' }),
  preset(
    'test',
    'Test, practise, test again',
    'The same game before and after shows whether it helped.',
    'Two parts of the time are tests.',
    {
      repetition: 'none',
      again: true,
    },
  ),
];

/** What part of the time is technique: a small fixed share, or one that grows by the week up to three fifths. */
export function repetitionShare({ repetition, weeks }: Pick<School, 'repetition' | 'weeks'>): number {
  const [small, first, more, most] = [0.2, 0.25, 0.05, 0.6];
  if (repetition === 'none') return 0;
  return repetition === 'small' ? small : Math.min(most, first + more * weeks);
}
