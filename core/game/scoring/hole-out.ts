import * as z from 'zod';
import { sayLevel } from '../../golf/level';
import { sayFinish } from '../../golf/words';
import { counted, inWords, nounOf } from '../../units/format';
import { countSchema } from './fields';
import { holedKey, wordKey } from './answer-keys';
import type { ScoredBall } from './ball';
import type { KernelBall } from './kernel';
import type { Rules } from '../rules';
import { NO_RULES, PLAIN, type Scheme } from './scheme';

export const MOST_STROKES = 10;

export const holeOutSchema = z.strictObject({
  scheme: z.literal('hole_out'),
  /** All strokes, or how many balls are finished in par or better. */
  counts: z.enum(['strokes', 'in_par']).default('strokes'),
  /** After so many strokes the ball is picked up. */
  pickUpAfter: countSchema(2, MOST_STROKES, 'Strokes before picking up'),
  /** Players of this level and above have one stroke more in each par; null where the par is the same for all. */
  extraFromLevel: z
    .number({ error: 'Enter the level as a number, or leave it empty.' })
    .min(-10, 'A level is from −10 to 54.')
    .max(54, 'A level is from −10 to 54.')
    .nullable(),
});
export type HoleOut = z.infer<typeof holeOutSchema>;
type State = { strokes: number; par: number; through: number; inPar: number; upAndDown: number; fromOff: number; secondChips: number };

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

/** Whether a ball was hit and is putted out later: it counts once that is said. */
const isHitOnly = (ball: ScoredBall, { puttOut }: Rules) => puttOut === 'after_all' && !ball.holed && ball.strokes === null;

/** Where the first shot finished, for whoever putts out after all balls are hit. */
const finishKeys = (['green', 'fringe', 'rough', 'sand'] as const).map((finish) => wordKey(finish, sayFinish(finish), { finish }));

/** Strokes to finish against a par per station. */
export const holeOut: Scheme<HoleOut, State> = {
  ...PLAIN,
  kind: 'hole_out',
  label: 'hole out',
  inShort: 'Strokes to finish, or how many in par.',
  about: 'Every ball is played into the hole, against a par for each station: fewest strokes, or most in par or better.',
  stationSays: ['par'],
  puttedOut: true,
  without: ['puttOut'],
  refuses: ({ stations }) =>
    stations.flatMap(({ target }, i) => (target === 'peg' ? [{ path: ['stations', i, 'target'], message: NO_HOLE }] : [])),
  refusesLeadIn: (_, stations) => (stations.some(({ target }) => target === 'peg') ? [{ path: ['scoring'], message: NO_HOLE }] : []),
  allows: ({ counts }) => ({ ...NO_RULES, cost: counts === 'strokes', perfect: true, allowances: true }),
  sees: () => ['strokes'],
  takesDistance: () => false,
  unit: ({ counts }) => (counts === 'in_par' ? 'in par' : 'strokes'),
  better: ({ counts }) => (counts === 'in_par' ? 'higher' : 'lower'),
  fresh: () => ({ scheme: 'hole_out', counts: 'strokes', pickUpAfter: 6, extraFromLevel: null }),
  extraPar: ({ extraFromLevel }, level) => (extraFromLevel !== null && level >= extraFromLevel ? 1 : 0),
  zones: () => [],
  fitted: (scoring) => scoring,
  says({ counts, pickUpAfter, extraFromLevel }) {
    const extra =
      extraFromLevel === null ? '' : ` Players of level ${sayLevel(extraFromLevel)} and above have one stroke more in each par.`;
    return `Every ball is played into the hole; after ${inWords(pickUpAfter)} strokes it is picked up.${counts === 'in_par' ? ' What counts is how many finish in par or better.' : ''}${extra}`;
  },
  saysGoal: (goal, { scoring, turns, stations }) =>
    scoring.counts === 'in_par'
      ? `${Math.ceil(goal)} of ${counted(turns, 'ball')} in par or better.`
      : sayEvenly(Math.floor(goal), turns, turns === stations.length ? 'station' : 'ball'),
  asksFinish: ({ surface }) => surface !== 'green',
  asks: ({ scoring: { pickUpAfter }, rules }) => [
    { ...holedKey(1), text: '1 · holed it' },
    ...(rules.puttOut === 'after_all'
      ? finishKeys
      : Array.from({ length: pickUpAfter - 1 }, (_, i) => {
          const strokes = i + 2;
          return wordKey(String(strokes), strokes === pickUpAfter ? `${strokes} or up` : String(strokes), { strokes }, strokes);
        })),
  ],
  start: () => ({ strokes: 0, par: 0, through: 0, inPar: 0, upAndDown: 0, fromOff: 0, secondChips: 0 }),
  step(state, ball, { at }, { scoring, stations, rules }) {
    if (isHitOnly(ball, rules)) return state;
    const station = stations[at]!;
    const strokes = strokesOf(ball, scoring);
    const off = station.surface !== 'green';
    return {
      strokes: state.strokes + strokes,
      par: state.par + (station.par ?? 2),
      through: state.through + 1,
      inPar: state.inPar + (strokes <= (station.par ?? 2) ? 1 : 0),
      fromOff: state.fromOff + (off ? 1 : 0),
      upAndDown: state.upAndDown + (off && strokes <= 2 ? 1 : 0),
      secondChips: state.secondChips + (off && staysOff(ball) ? 1 : 0),
    };
  },
  score: (state, { scoring }) => (scoring.counts === 'in_par' ? state.inPar : state.strokes),
  par: (state) => state.par,
  success: (ball, station, { scoring, rules }) => !isHitOnly(ball, rules) && strokesOf(ball, scoring) <= (station.par ?? 2),
  best: ({ turns }) => turns,
  verdict: (ball, _station, { scoring, rules }) => (isHitOnly(ball, rules) ? 'to putt out' : `${strokesOf(ball, scoring)} to finish`),
  mark: (ball, { scoring, rules }) => (isHitOnly(ball, rules) ? '·' : String(strokesOf(ball, scoring))),
  now: ({ strokes, par, through, inPar }, { scoring }) =>
    scoring.counts === 'in_par' && through > 0 ? `${inPar} of ${through}` : sayToPar(strokes, par, through),
  notes: ({ strokes, par, through, inPar, upAndDown, fromOff, secondChips }, { scoring }) => [
    ...(through === 0
      ? []
      : [
          scoring.counts === 'in_par'
            ? { label: 'strokes', value: String(strokes) }
            : { label: 'in par or better', value: `${inPar} of ${through}` },
        ]),
    { label: 'against the par', value: `${sayToPar(strokes, par, through)} (par ${par})` },
    ...(fromOff > 0 ? [{ label: 'up and down', value: `${upAndDown} of ${fromOff}` }] : []),
    ...(secondChips > 0 ? [{ label: 'needed a second chip', value: `${secondChips} of ${fromOff}` }] : []),
  ],
  compile({ scoring: { counts, pickUpAfter }, stations }) {
    const pars = Int32Array.from(stations, (station) => station.par ?? 2);
    const used = (ball: KernelBall) => (ball.holed ? 1 : Math.min(ball.strokes, pickUpAfter));
    const byPar = counts === 'in_par';
    let score = 0;
    return {
      reset: () => void (score = 0),
      take: (at, ball) => void (score += byPar ? (used(ball) <= pars[at]! ? 1 : 0) : used(ball)),
      score: () => score,
      worked: (at, ball) => used(ball) <= pars[at]!,
    };
  },
};
