import * as z from 'zod';
import { capital, counted, inWords } from '../../units/format';
import { countSchema, round, zoneSchema } from './fields';
import { zoneKeys } from './answer-keys';
import { inside } from './ball';
import { kernelInside } from './kernel';
import { ALL_RULES, PLAIN, type Refusal, type Scheme } from './scheme';
import { finishZone } from './zone';

export const streakSchema = z.strictObject({
  scheme: z.literal('streak'),
  /** The zone that keeps the run going, in metres; 0 is the hole itself. */
  radiusM: zoneSchema,
  /** Over with a run of so many; null to play all balls for the longest run. */
  until: countSchema(2, 60, 'The run').nullable(),
  /** The score: the longest run, or (with `until`) the balls it took. */
  counts: z.enum(['run', 'balls']),
});
export type Streak = z.infer<typeof streakSchema>;
type State = { run: number; longest: number; balls: number };

/** Balls used to get the run; where all were used without getting it, those and what was missing of the run. */
function ballsScore(balls: number, longest: number, until: number, turns: number): number {
  return balls >= turns && longest < until ? turns + (until - longest) : balls;
}

/** So many in a row, or the longest run. */
export const streak: Scheme<Streak, State> = {
  ...PLAIN,
  kind: 'streak',
  label: 'streak',
  inShort: 'So many in a row.',
  about: 'So many good ones in a row, or the longest run.',
  refuses({ scoring: { until, counts }, stations, open }) {
    const found: Refusal[] = [];
    const balls = stations.reduce((sum, station) => sum + station.balls, 0);
    if (until !== null && until > balls && !open)
      found.push({ path: ['scoring', 'until'], message: `The game has only ${counted(balls, 'ball')}.` });
    if (until === null && counts === 'balls')
      found.push({ path: ['scoring', 'counts'], message: 'To count the balls it took, say how many in a row.' });
    return found;
  },
  fewestBalls: ({ until }) => until ?? 1,
  shorter: (scoring, share, balls) =>
    scoring.until === null ? scoring : { ...scoring, until: Math.min(Math.max(2, Math.round(scoring.until * share)), Math.max(2, balls)) },
  allows: () => ({ ...ALL_RULES, cost: false }),
  takesDistance: () => true,
  unit: ({ counts }) => (counts === 'run' ? 'in a row' : 'balls'),
  better: ({ counts }) => (counts === 'run' ? 'higher' : 'lower'),
  fresh: (system) => ({ scheme: 'streak', radiusM: round(system, 4, 1.2), until: 5, counts: 'run' }),
  zones: ({ radiusM }) => [finishZone(radiusM, 'goes on')],
  fitted: (scoring, fit) => ({ ...scoring, radiusM: fit(scoring.radiusM) }),
  says({ radiusM, until }, { inside }) {
    const end = until === null ? 'The longest run counts.' : `Over with ${inWords(until)} in a row.`;
    return `A ball ${inside(radiusM)} keeps the run going. ${end}`;
  },
  saysGoal: (goal, { scoring: { counts, until } }) =>
    counts === 'run'
      ? `${capital(inWords(Math.ceil(goal)))} in a row.`
      : `${capital(inWords(until ?? 0))} in a row within ${counted(Math.floor(goal), 'ball')}.`,
  asks: ({ scoring }) => zoneKeys(scoring.radiusM),
  start: () => ({ run: 0, longest: 0, balls: 0 }),
  step({ run, longest, balls }, ball, _lot, { scoring }) {
    const next = inside(ball, scoring.radiusM) ? run + 1 : 0;
    return { run: next, longest: Math.max(longest, next), balls: balls + 1 };
  },
  score: ({ longest, balls }, { scoring, turns }) =>
    scoring.counts === 'run' ? longest : ballsScore(balls, longest, scoring.until ?? turns, turns),
  over: ({ longest }, { scoring }) => scoring.until !== null && longest >= scoring.until,
  success: (ball, _station, { scoring }) => inside(ball, scoring.radiusM),
  best: ({ scoring, turns }) => (scoring.counts === 'run' ? Math.min(turns, scoring.until ?? turns) : (scoring.until ?? turns)),
  lastDone: ({ scoring: { counts, until }, turns }) => (counts === 'balls' && until !== null ? turns : null),
  verdict: (ball, _station, { scoring }) => (inside(ball, scoring.radiusM) ? 'in' : 'out'),
  now: ({ run, longest }) => `run ${run} · longest ${longest}`,
  notes: ({ longest, balls }) => [
    { label: 'longest run', value: String(longest) },
    { label: 'balls used', value: String(balls) },
  ],
  compile({ scoring, turns }) {
    let run = 0;
    let longest = 0;
    let balls = 0;
    return {
      reset: () => void (run = longest = balls = 0),
      take(_at, ball) {
        balls += 1;
        run = kernelInside(ball, scoring.radiusM) ? run + 1 : 0;
        if (run > longest) longest = run;
      },
      score: () => (scoring.counts === 'run' ? longest : ballsScore(balls, longest, scoring.until ?? turns, turns)),
      ...(scoring.until === null ? {} : { over: () => longest >= scoring.until! }),
      worked: (_at, ball) => kernelInside(ball, scoring.radiusM),
    };
  },
};
