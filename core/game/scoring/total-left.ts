import * as z from 'zod';
import { counted } from '../../units/format';
import { snap } from '../../units/length';
import { edgeSchema, round } from './fields';
import { farKey, holedKey } from './answer-keys';
import { cappedM } from './ball';
import { NO_RULES, PLAIN, type Scheme } from './scheme';
import { measuredZone } from './zone';

export const totalLeftSchema = z.strictObject({
  scheme: z.literal('total_left'),
  /** A ball farther away than this is not measured and counts as so much. */
  farM: edgeSchema,
});
export type TotalLeft = z.infer<typeof totalLeftSchema>;

/** The distances left are added up, in metres; the lowest total wins. The state is the total so far. */
export const totalLeft: Scheme<TotalLeft, number> = {
  ...PLAIN,
  kind: 'total_left',
  label: 'total left',
  inShort: 'Add up what is left, least wins.',
  about: 'What is left to the hole is added up over all balls. The lowest total wins.',
  wrongSideCounts: true,
  refuses: ({ rules: { goodSide, wrongSideCost } }) =>
    goodSide !== null && wrongSideCost === 0
      ? [{ path: ['rules', 'wrongSideCost'], message: 'In total left every ball counts: give the wrong side a cost.' }]
      : [],
  allows: () => ({ ...NO_RULES, side: true, cost: true, allowances: true }),
  takesDistance: () => true,
  unit: () => 'length',
  better: () => 'lower',
  fresh: (system) => ({ scheme: 'total_left', farM: round(system, 30, 10) }),
  zones: ({ farM }) => [measuredZone(farM)],
  fitted: (scoring) => scoring,
  says: ({ farM }, { far }) => `What is left is added up. A ball outside ${far(farM)} is not measured and counts ${far(farM)}.`,
  saysGoal: (goal, { turns }, { left, each }) => `${left(goal)} over ${counted(turns, 'ball')}: ${each(goal, turns)} each on average.`,
  asks: ({ scoring }) => [holedKey(), farKey(scoring.farM)],
  start: () => 0,
  step: (state, ball, _lot, { scoring }) => snap(state + cappedM(ball, scoring.farM)),
  score: (state) => state,
  best: () => 0,
  compile({ scoring }) {
    let total = 0;
    return {
      reset: () => void (total = 0),
      take: (_at, ball) => void (total = snap(total + (ball.holed ? 0 : Math.min(ball.leftM, scoring.farM)))),
      score: () => total,
    };
  },
};
