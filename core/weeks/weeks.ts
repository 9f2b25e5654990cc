import * as z from 'zod';
import { LONGEST, partGameSchema, SHORTEST } from '../hour/hour';
import { schoolSchema } from '../hour/school';
import { day, filledLine, key } from '../stored';
import { daysFrom } from '../units/plain-day';
import { WEEKS_VERSION } from './steps';

/**
 * What a day is for: the test of a block and the same again at its end, the weak shots, what was left out for long; and before an event less, then
 * as in a round.
 */
export const AIMS = ['test', 'again', 'practise', 'neglected', 'less', 'rehearsal'] as const;
export type Aim = (typeof AIMS)[number];

/** Weeks are planned for at most half a year. */
export const MOST_WEEKS = 26;
/** In a block as many shots are worked on as can be tested in one go. */
export const MOST_SHOTS = 2;

const minutes = z
  .int({ error: 'Enter whole minutes.' })
  .min(SHORTEST, `At least ${SHORTEST} minutes.`)
  .max(LONGEST, `At most ${LONGEST} minutes.`);
/** A time of the day by the clock of the academy, "17:30"; null: nobody said when. */
const clock = z
  .string()
  .regex(/^([01]\d|2[0-3]):[0-5]\d$/, 'Enter a time such as 17:30.')
  .nullable()
  .default(null);

/** A day of the week on which somebody practises: from Monday, 1, to Sunday, 7. */
const rhythmSchema = z.object({ weekday: z.int().min(1).max(7), at: clock, minutes });
export type PracticeDay = z.infer<typeof rhythmSchema>;

const plannedDaySchema = z.object({
  /** The id of its hour: one is made under it as the day comes near. */
  hourId: z.uuid(),
  day,
  at: clock,
  minutes,
  aim: z.enum(AIMS),
});
export type PlannedDay = z.infer<typeof plannedDaySchema>;

/**
 * What is seen of a shot: so many balls of each test, on all its days together, show a change of so much, in strokes a shot, four times in five;
 * null: of no change that can be expected.
 */
const shotTestSchema = z.object({ shot: key, balls: z.int().min(1).max(10_000), shows: z.number().gt(0).max(100).nullable() });

const blockSchema = z.object({
  from: day,
  until: day,
  /** On so many days in a row the test is played, to have balls enough. */
  testDays: z.int().min(1).max(3).default(1),
  /** The shots that are worked on, by their keys, the costliest first; none: they are chosen once the block before is over. */
  shots: z.array(key).max(MOST_SHOTS).default([]),
  tests: z.array(shotTestSchema).max(MOST_SHOTS).default([]),
  /** The test: the same game at both ends; null where there is none. */
  game: partGameSchema.nullable().default(null),
});
export type Block = z.infer<typeof blockSchema>;

export const weeksSchema = z
  .object({
    format: z.literal('inch-weeks'),
    version: z.literal(WEEKS_VERSION),
    title: filledLine(80, 'Give these weeks a title.'),
    from: day,
    /** The last day; with an event, the day before it. */
    until: day,
    event: z
      .object({ name: filledLine(60, 'Name the event.'), day })
      .nullable()
      .default(null),
    rhythm: z.array(rhythmSchema).min(1, 'Choose at least one day of the week.').max(7),
    school: schoolSchema,
    greenId: z.uuid().nullable().default(null),
    blocks: z.array(blockSchema).max(MOST_WEEKS).default([]),
    days: z.array(plannedDaySchema).max(MOST_WEEKS * 7, 'Too many days.'),
  })
  .superRefine(({ from, until, event, rhythm, days }, ctx) => {
    const wrong = (path: string, message: string) => ctx.addIssue({ code: 'custom', path: [path], message });
    if (until < from) wrong('until', 'The last day is before the first.');
    else if (daysFrom(from, until) >= 7 * MOST_WEEKS) wrong('until', `Plan at most ${MOST_WEEKS} weeks.`);
    if (event && event.day <= from) wrong('event.day', 'The event has to come after the first day.');
    if (new Set(rhythm.map(({ weekday }) => weekday)).size < rhythm.length) wrong('rhythm', 'Each day of the week once.');
    if (new Set(days.map(({ hourId }) => hourId)).size < days.length) wrong('days', 'A day stands there twice.');
  });
/** The practice of some weeks: on which days, and what each is for. Who it is for stands beside it; each day becomes an hour as it comes near. */
export type Weeks = z.infer<typeof weeksSchema>;
/** What the days follow from. */
export type Frame = Pick<Weeks, 'from' | 'until' | 'event' | 'rhythm'>;
