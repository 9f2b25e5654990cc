import * as z from 'zod';
import { TRAJECTORIES } from '../../golf/words';
import { counted, listed } from '../../units/format';
import { line } from '../../stored';
import { wordKey } from './answer-keys';
import { NO_RULES, PLAIN, type Lot, type Scheme } from './scheme';

export const unscoredSchema = z.strictObject({
  scheme: z.literal('unscored'),
  /** The one thing to think of: "brush the grass"; empty where nothing is said. */
  cue: line(80).default(''),
  /** Flights that are hit one after another at each station, each with the station's balls; none: as the player likes. */
  flights: z
    .array(z.enum(TRAJECTORIES))
    .max(TRAJECTORIES.length)
    .refine((all) => new Set(all).size === all.length, 'List each flight once.')
    .default([]),
});
export type Unscored = z.infer<typeof unscoredSchema>;

/** Balls that only are hit: a warm-up, or a set with one cue. The state is the balls so far; they are no evidence. */
export const unscored: Scheme<Unscored, number> = {
  ...PLAIN,
  kind: 'unscored',
  label: 'not scored',
  inShort: 'A warm-up, or one swing thought.',
  about: 'A warm-up, or a set with one swing thought. Balls are counted, not scored.',
  counts: false,
  opens: false,
  allows: () => NO_RULES,
  refusesLeadIn: ({ scoring }, stations) =>
    scoring.flights.length > 0 && stations.some(({ trajectory }) => trajectory !== null)
      ? [{ path: ['scoring', 'flights'], message: 'A station here already sets the flight. Clear it there, or choose no flights here.' }]
      : [],
  takesDistance: () => false,
  unit: () => 'balls',
  better: () => 'higher',
  fresh: () => ({ scheme: 'unscored', cue: '', flights: [] }),
  zones: () => [],
  fitted: (scoring) => scoring,
  says: ({ cue, flights }) =>
    [flights.length > 0 && `${listed(flights)}, one after another.`, cue && `Swing thought: ${cue}.`, 'Nothing is scored.']
      .filter(Boolean)
      .join(' '),
  saysGoal: () => '',
  lots: ({ flights }, stations) =>
    stations.flatMap((station, at) =>
      (flights.length > 0 ? flights : [null]).flatMap((trajectory, i) =>
        Array.from({ length: station.balls }, (_, ball): Lot => ({
          at,
          ballNo: i * station.balls + ball + 1,
          asked: trajectory ? { trajectory } : {},
        })),
      ),
    ),
  asks: (_phase, _station, left = 1) => [
    ...(left > 1 ? [wordKey('all', `all ${left} hit`, { counts: 'practice_ball', nBalls: left })] : []),
    wordKey('one', left > 1 ? 'one ball' : 'hit', { counts: 'practice_ball' }),
  ],
  start: () => 0,
  step: (state) => state + 1,
  score: (state) => state,
  best: ({ turns }) => turns,
  cue: ({ cue }) => cue,
  now: (state, { turns }) => `${state} of ${counted(turns, 'ball')}`,
  compile() {
    let balls = 0;
    return { reset: () => void (balls = 0), take: () => void (balls += 1), score: () => balls };
  },
};
