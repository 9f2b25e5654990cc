import * as z from 'zod';
import { sayLevel } from '../../golf/level';
import { inWords, nounOf } from '../../units/format';
import { countSchema } from './fields';
import { holedKey, wordKey } from './answer-keys';
import type { ScoredBall } from './ball';
import type { KernelBall } from './kernel';
import { NO_RULES, PLAIN, type Scheme } from './scheme';

export const MOST_STROKES = 10;

export const holeOutSchema = z.strictObject({
  scheme: z.literal('hole_out'),
  /** After so many strokes the ball is picked up. */
  pickUpAfter: countSchema(2, MOST_STROKES, 'Strokes before picking up'),
  /** Players of this level and above have one stroke more in each par; null where the par is the same for all. */
  extraFromLevel: z
    .number({ error: 'Give the level as a number, or leave it empty.' })
    .min(-10, 'A level is from −10 to 54.')
    .max(54, 'A level is from −10 to 54.')
    .nullable(),
});
export type HoleOut = z.infer<typeof holeOutSchema>;
type State = { strokes: number; par: number; through: number; upAndDown: number; fromOff: number; doubleChips: number };

/** Strokes of a ball to the hole, this one included, with penalties; one not said is as if picked up. */
const strokesOf = (ball: ScoredBall, scoring: HoleOut) =>
  Math.min(ball.holed ? 1 : (ball.strokes ?? scoring.pickUpAfter), scoring.pickUpAfter) + ball.penalty;

/** Whether the first shot stayed off the green, so that a second one was needed. */
const staysOff = (ball: ScoredBall) => ball.finish !== null && ball.finish !== 'green';

/** "two under through five", "level through one". */
export function sayToPar(strokes: number, par: number, through: number): string {
  const by = strokes - par;
  const than = by === 0 ? 'level' : `${inWords(Math.abs(by))} ${by < 0 ? 'under' : 'over'}`;
  return through === 0 ? 'not begun' : `${than} through ${inWords(through)}`;
}

const NO_HOLE = 'A ball is holed out in a hole, not at a peg.';

/** The evenest way to so many strokes: each in one figure, the rest in one more. */
function sayEvenly(goal: number, balls: number, what: string): string {
  const low = Math.floor(goal / balls);
  const high = goal - low * balls;
  const all = `${goal} over ${inWords(balls)} ${nounOf(balls, what)}`;
  if (high === 0) return `${all}: each in ${inWords(low)}.`;
  return `${all}: ${inWords(balls - high)} in ${inWords(low)}, ${inWords(high)} in ${inWords(low + 1)}.`;
}

/** Strokes to finish against a par per station. */
export const holeOut: Scheme<HoleOut, State> = {
  ...PLAIN,
  kind: 'hole_out',
  label: 'hole out',
  about: 'Every ball is played into the hole, against a par for each station. Fewest strokes wins.',
  stationSays: ['par'],
  puttedOut: true,
  without: ['puttOut'],
  refuses: ({ stations }) =>
    stations.flatMap(({ target }, i) => (target === 'peg' ? [{ path: ['stations', i, 'target'], message: NO_HOLE }] : [])),
  refusesLeadIn: (_, stations) => (stations.some(({ target }) => target === 'peg') ? [{ path: ['scoring'], message: NO_HOLE }] : []),
  allows: () => ({ ...NO_RULES, cost: true, perfect: true, allowances: true }),
  sees: () => ['strokes'],
  takesDistance: () => false,
  unit: () => 'strokes',
  better: () => 'lower',
  fresh: () => ({ scheme: 'hole_out', pickUpAfter: 6, extraFromLevel: null }),
  extraPar: ({ extraFromLevel }, level) => (extraFromLevel !== null && level >= extraFromLevel ? 1 : 0),
  zones: () => [],
  fitted: (scoring) => scoring,
  says({ pickUpAfter, extraFromLevel }) {
    const extra =
      extraFromLevel === null ? '' : ` Players of level ${sayLevel(extraFromLevel)} and above have one stroke more in each par.`;
    return `Every ball is played into the hole; after ${inWords(pickUpAfter)} strokes it is picked up.${extra}`;
  },
  saysGoal: (goal, { turns, stations }) => sayEvenly(Math.floor(goal), turns, turns === stations.length ? 'station' : 'ball'),
  asksFinish: ({ surface }) => surface !== 'green',
  asks: ({ scoring: { pickUpAfter } }) => [
    { ...holedKey(1), text: '1 · holed it' },
    ...Array.from({ length: pickUpAfter - 1 }, (_, i) => {
      const strokes = i + 2;
      return wordKey(String(strokes), strokes === pickUpAfter ? `${strokes} or up` : String(strokes), { strokes }, strokes);
    }),
  ],
  start: () => ({ strokes: 0, par: 0, through: 0, upAndDown: 0, fromOff: 0, doubleChips: 0 }),
  step(state, ball, { at }, { scoring, stations }) {
    const station = stations[at]!;
    const strokes = strokesOf(ball, scoring);
    const off = station.surface !== 'green';
    return {
      strokes: state.strokes + strokes,
      par: state.par + (station.par ?? 2),
      through: state.through + 1,
      fromOff: state.fromOff + (off ? 1 : 0),
      upAndDown: state.upAndDown + (off && strokes <= 2 ? 1 : 0),
      doubleChips: state.doubleChips + (off && staysOff(ball) ? 1 : 0),
    };
  },
  score: (state) => state.strokes,
  par: (state) => state.par,
  success: (ball, station, { scoring }) => strokesOf(ball, scoring) <= (station.par ?? 2),
  best: ({ turns }) => turns,
  verdict: (ball, _station, { scoring }) => `${strokesOf(ball, scoring)} to finish`,
  mark: (ball, { scoring }) => String(strokesOf(ball, scoring)),
  now: ({ strokes, par, through }) => sayToPar(strokes, par, through),
  notes: ({ strokes, par, through, upAndDown, fromOff, doubleChips }) => [
    { label: 'against the par', value: `${sayToPar(strokes, par, through)} (par ${par})` },
    ...(fromOff > 0 ? [{ label: 'up and down', value: `${upAndDown} of ${fromOff}` }] : []),
    ...(doubleChips > 0 ? [{ label: 'double chips', value: `${doubleChips} of ${fromOff}` }] : []),
  ],
  compile({ scoring: { pickUpAfter }, stations }) {
    const pars = Int32Array.from(stations, (station) => station.par ?? 2);
    const used = (ball: KernelBall) => (ball.holed ? 1 : Math.min(ball.strokes, pickUpAfter));
    let strokes = 0;
    return {
      reset: () => void (strokes = 0),
      take: (_at, ball) => void (strokes += used(ball)),
      score: () => strokes,
      worked: (at, ball) => used(ball) <= pars[at]!,
    };
  },
};
