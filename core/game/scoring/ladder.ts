import * as z from 'zod';
import { capital, counted, inWords } from '../../units/format';
import { countSchema, round, zoneSchema } from './fields';
import { zoneKeys } from './answer-keys';
import { inside } from './ball';
import { kernelInside } from './kernel';
import { NO_RULES, PLAIN, type Refusal, type Scheme } from './scheme';
import { finishZone } from './zone';

export const ladderSchema = z.strictObject({
  scheme: z.literal('ladder'),
  /** The zone that lets a ball climb, in metres; 0 is the hole itself. */
  radiusM: zoneSchema,
  /** Rungs that a miss drops. */
  drop: countSchema(0, 10, 'Rungs down'),
  /** A miss on the lowest rung: stay there, or the end. */
  bottom: z.enum(['floor', 'end']),
  /** The score: balls used (fewest wins), or the highest rung passed. */
  counts: z.enum(['balls', 'rungs']),
  /** Over after so many balls, passed or not. */
  mostBalls: countSchema(2, 100, 'Balls at most'),
  /** Two or more players by turns: over when one has passed the last rung, after equal turns. */
  byTurns: z.boolean(),
});
export type Ladder = z.infer<typeof ladderSchema>;

/** `rung`: the station to play from, from 0; as many as there are rungs when the last is passed. */
type State = { rung: number; highest: number; balls: number; fell: boolean };

/**
 * The score of a ladder that counts balls: those used; of one that ended without being passed, the most there are and
 * one for each rung that was left, so that whoever gets farther does better.
 */
function ballsScore(balls: number, failed: boolean, rung: number, rungs: number, most: number): number {
  return failed ? most + (rungs - rung) : balls;
}

const isOver = (rung: number, balls: number, fell: boolean, rungs: number, most: number) => fell || rung >= rungs || balls >= most;

const ONE_BALL = 'A rung is played one ball at a time.';

/** Stations in a row: a success climbs, a miss drops; over when the last one is passed. */
export const ladder: Scheme<Ladder, State> = {
  ...PLAIN,
  kind: 'ladder',
  label: 'ladder',
  inShort: 'Climb on a make, drop on a miss.',
  about: 'Stations in a row: a success climbs one, a miss drops. Over when the last one is passed.',
  countsBalls: false,
  orders: ['blocked'],
  whyOrder: 'A ladder decides by itself which station is next.',
  opens: false,
  refuses({ scoring: { byTurns, counts, mostBalls }, stations }) {
    const found: Refusal[] = stations.flatMap(({ balls }, i) =>
      balls === 1 ? [] : [{ path: ['stations', i, 'balls'], message: ONE_BALL }],
    );
    if (stations.length === 1) found.push({ path: ['stations'], message: 'A ladder needs at least two rungs.' });
    if (byTurns && counts === 'balls')
      found.push({ path: ['scoring', 'counts'], message: 'By turns everybody uses as many balls: count the rungs.' });
    if (stations.length > mostBalls)
      found.push({ path: ['scoring', 'mostBalls'], message: `With ${stations.length} rungs it takes at least as many balls.` });
    return found;
  },
  refusesLeadIn: ({ scoring: { mostBalls }, balls }, stations) => [
    ...(stations.length < 2 || mostBalls < stations.length
      ? [{ path: ['scoring'], message: 'A ladder needs at least two rungs, and a ball for each.' }]
      : []),
    ...(balls === 1 ? [] : [{ path: ['balls'], message: ONE_BALL }]),
  ],
  allows: () => ({ ...NO_RULES, side: true, scaled: true, allowances: true }),
  takesDistance: () => true,
  unit: ({ counts }) => counts,
  better: ({ counts }) => (counts === 'balls' ? 'lower' : 'higher'),
  // A putt climbs where it is holed.
  fresh: (system, putts = false) => ({
    scheme: 'ladder',
    radiusM: putts ? 0 : round(system, 6, 2),
    drop: 1,
    bottom: 'floor',
    counts: 'balls',
    mostBalls: 30,
    byTurns: false,
  }),
  shorter: (scoring, share, _balls, stations) => ({
    ...scoring,
    mostBalls: Math.max(stations.length, Math.round(scoring.mostBalls * share)),
  }),
  zones: ({ radiusM }) => [finishZone(radiusM, 'climbs', 'up')],
  fitted: (scoring, fit) => ({ ...scoring, radiusM: fit(scoring.radiusM) }),
  says({ radiusM, drop, bottom, counts, mostBalls }, { inside }) {
    const down = drop === 0 ? 'a miss stays' : `a miss drops ${inWords(drop)}`;
    const lowest = bottom === 'end' ? 'a fall below the lowest rung is the end' : 'the lowest rung is a floor';
    const score = counts === 'balls' ? 'Fewest balls wins' : 'The highest rung passed is the score';
    return `A ball ${inside(radiusM)} climbs one rung, ${down}, ${lowest}. ${score}; ${mostBalls} balls at most.`;
  },
  saysGoal(goal, { scoring: { counts, drop, bottom }, stations: { length: rungs } }) {
    if (counts === 'rungs') return `${capital(inWords(Math.ceil(goal)))} of ${inWords(rungs)} rungs passed.`;
    const misses = Math.floor((Math.floor(goal) - rungs) / (1 + drop));
    const more = bottom === 'floor' && drop > 0 ? ', more only on the lowest rung' : '';
    const most = misses === 0 ? 'no miss' : `at most ${inWords(misses)} ${misses === 1 ? 'miss' : 'misses'}`;
    return `${Math.floor(goal)} balls over ${inWords(rungs)} rungs: ${most}${more}.`;
  },
  asks: ({ scoring }) => zoneKeys(scoring.radiusM),
  most: ({ mostBalls }) => mostBalls,
  start: () => ({ rung: 0, highest: 0, balls: 0, fell: false }),
  step(state, ball, _lot, { scoring }) {
    const balls = state.balls + 1;
    if (inside(ball, scoring.radiusM)) {
      const rung = state.rung + 1;
      return { ...state, balls, rung, highest: Math.max(state.highest, rung) };
    }
    const fell = scoring.bottom === 'end' && scoring.drop > state.rung;
    return { ...state, balls, fell, rung: Math.max(0, state.rung - scoring.drop) };
  },
  score({ balls, rung, highest, fell }, { scoring: { counts, mostBalls }, stations: { length: rungs } }) {
    if (counts === 'rungs') return highest;
    return ballsScore(balls, rung < rungs && isOver(rung, balls, fell, rungs, mostBalls), rung, rungs, mostBalls);
  },
  over: ({ rung, balls, fell }, { scoring, stations }) => isOver(rung, balls, fell, stations.length, scoring.mostBalls),
  race: ({ byTurns }) => byTurns,
  route: ({ rung }) => rung,
  success: (ball, _station, { scoring }) => inside(ball, scoring.radiusM),
  best: ({ stations }) => stations.length,
  lastDone: ({ scoring: { counts, mostBalls } }) => (counts === 'balls' ? mostBalls : null),
  verdict: (ball, _station, { scoring }) => (inside(ball, scoring.radiusM) ? 'up' : scoring.drop > 0 ? 'down' : 'stay'),
  now: ({ rung, balls, fell }, { stations }) =>
    fell ? 'off the bottom' : rung >= stations.length ? `passed with ${counted(balls, 'ball')}` : `rung ${rung + 1} of ${stations.length}`,
  notes: ({ balls, highest, rung, fell }, { stations }) => [
    { label: 'highest rung passed', value: `${highest} of ${stations.length}` },
    { label: 'balls used', value: String(balls) },
    { label: 'the end', value: fell ? 'off the bottom' : rung >= stations.length ? 'passed the last rung' : `on rung ${rung + 1}` },
  ],
  compile({ scoring, stations }) {
    const rungs = stations.length;
    let rung = 0;
    let highest = 0;
    let balls = 0;
    let fell = false;
    return {
      reset() {
        rung = highest = balls = 0;
        fell = false;
      },
      take(_at, ball) {
        balls += 1;
        if (kernelInside(ball, scoring.radiusM)) {
          rung += 1;
          if (rung > highest) highest = rung;
        } else {
          if (scoring.bottom === 'end' && scoring.drop > rung) fell = true;
          rung = rung > scoring.drop ? rung - scoring.drop : 0;
        }
      },
      score: () =>
        scoring.counts === 'rungs'
          ? highest
          : ballsScore(balls, rung < rungs && (fell || balls >= scoring.mostBalls), rung, rungs, scoring.mostBalls),
      over: () => fell || rung >= rungs || balls >= scoring.mostBalls,
      at: () => rung,
    };
  },
};
