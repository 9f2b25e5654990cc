import { z } from 'zod';
import { snap } from '../../units/length';
import { edgeSchema, round } from './fields';
import { cappedM, farKey, holedKey, NO_RULES, PLAIN, type Scheme } from './scheme';

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
  about: 'What is left to the hole is added up over all balls. The lowest total wins.',
  allows: () => ({ ...NO_RULES, side: true, cost: true, allowances: true }),
  takesDistance: () => true,
  unit: () => 'length',
  better: () => 'lower',
  fresh: (system) => ({ scheme: 'total_left', farM: round(system, 30, 10) }),
  fitted: (scoring) => scoring,
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
