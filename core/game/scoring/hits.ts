import * as z from 'zod';
import { counted } from '../../units/format';
import { round, zoneSchema } from './fields';
import { zoneKeys } from './answer-keys';
import { inside } from './ball';
import { kernelInside } from './kernel';
import { ALL_RULES, PLAIN, type Scheme } from './scheme';
import { finishZone } from './zone';

export const hitsSchema = z.strictObject({
  scheme: z.literal('hits'),
  /** The zone round the hole, in metres; 0 is the hole itself. */
  radiusM: zoneSchema,
});
export type Hits = z.infer<typeof hitsSchema>;

/** How many of n balls finish inside one zone. The state is the hits so far. */
export const hits: Scheme<Hits, number> = {
  ...PLAIN,
  kind: 'hits',
  label: 'hits',
  inShort: 'How many finish inside.',
  about: 'How many of the balls finish inside one zone round the hole.',
  allows: () => ALL_RULES,
  tallies: true,
  takesDistance: () => true,
  unit: () => 'hits',
  better: () => 'higher',
  fresh: (system) => ({ scheme: 'hits', radiusM: round(system, 6, 2) }),
  zones: ({ radiusM }) => [finishZone(radiusM, 'a hit', 'hit')],
  fitted: (scoring, fit) => ({ ...scoring, radiusM: fit(scoring.radiusM) }),
  says: ({ radiusM }, { inside }) => `A ball ${inside(radiusM)} is a hit.`,
  saysGoal: (goal, { turns }) => `${Math.ceil(goal)} of ${counted(turns, 'ball')}.`,
  asks: ({ scoring }) => zoneKeys(scoring.radiusM),
  start: () => 0,
  step: (state, ball, _lot, { scoring }) => state + (inside(ball, scoring.radiusM) ? 1 : 0),
  score: (state) => state,
  success: (ball, _station, { scoring }) => inside(ball, scoring.radiusM),
  best: ({ turns }) => turns,
  verdict: (ball, _station, { scoring }) => (inside(ball, scoring.radiusM) ? 'in' : 'out'),
  compile({ scoring }) {
    let count = 0;
    return {
      reset: () => void (count = 0),
      take: (_at, ball) => void (count += kernelInside(ball, scoring.radiusM) ? 1 : 0),
      score: () => count,
      worked: (_at, ball) => kernelInside(ball, scoring.radiusM),
    };
  },
};
