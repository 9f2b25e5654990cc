import { z } from 'zod';
import { countSchema, round, zoneSchema } from './fields';
import { inside, kernelInside, NO_RULES, PLAIN, zoneKeys, type Scheme } from './scheme';

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

/** Stations in a row: a success climbs, a miss drops; over when the last one is passed. */
export const ladder: Scheme<Ladder, State> = {
  ...PLAIN,
  kind: 'ladder',
  label: 'ladder',
  about: 'Stations in a row: a success climbs one, a miss drops. Over when the last one is passed.',
  countsBalls: false,
  allows: () => ({ ...NO_RULES, side: true, scaled: true, allowances: true }),
  takesDistance: () => true,
  unit: ({ counts }) => counts,
  better: ({ counts }) => (counts === 'balls' ? 'lower' : 'higher'),
  fresh: (system) => ({
    scheme: 'ladder',
    radiusM: round(system, 6, 2),
    drop: 1,
    bottom: 'floor',
    counts: 'balls',
    mostBalls: 30,
    byTurns: false,
  }),
  fitted: (scoring, fit) => ({ ...scoring, radiusM: fit(scoring.radiusM) }),
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
    fell
      ? 'off the bottom'
      : rung >= stations.length
        ? `passed with ${balls} ${balls === 1 ? 'ball' : 'balls'}`
        : `rung ${rung + 1} of ${stations.length}`,
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
