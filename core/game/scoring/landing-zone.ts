import { flies } from '../../golf/shot-types';
import * as z from 'zod';
import { counted } from '../../units/format';
import { edgeSchema, round } from './fields';
import { wordKey } from './answer-keys';
import { inside, type ScoredBall } from './ball';
import type { KernelBall } from './kernel';
import { kernelInside } from './kernel';
import { ALL_RULES, PLAIN, type Scheme } from './scheme';
import type { Zone } from './zone';

export const LANDING_SHAPES = ['circle', 'strip', 'peg'] as const;

export const landingZoneSchema = z.strictObject({
  scheme: z.literal('landing_zone'),
  /** At each station's carry: a circle, a strip across the line of play, or a peg to land beside. */
  shape: z.enum(LANDING_SHAPES),
  /** The circle's radius, half the strip's depth, or the tolerance round the peg, in metres. */
  sizeM: edgeSchema,
  /** A second zone, round the hole, in which the ball must also finish; null where landing is enough. */
  finishM: edgeSchema.nullable(),
});
export type LandingZone = z.infer<typeof landingZoneSchema>;
type State = { done: number; landed: number; finished: number };

const lands = (ball: ScoredBall) => ball.landed === true;

/** The ball must first land in a zone at a set carry; optionally it must also finish in a second one. */
export const landingZone: Scheme<LandingZone, State> = {
  ...PLAIN,
  kind: 'landing_zone',
  label: 'landing zone',
  inShort: 'Land it in the zone.',
  about: 'The ball must land in a zone at a set carry; if you want, it must also finish near the hole.',
  opens: false,
  stationSays: ['carryM'],
  refuses: ({ stations }) =>
    stations.flatMap(({ shotType, carryM }, i) => {
      if (!flies(shotType))
        return [{ path: ['stations', i, 'shotType'], message: 'A ball that is putted does not land: choose a shot that flies.' }];
      return carryM === null ? [{ path: ['stations', i, 'carryM'], message: 'Say how far the landing zone is from the ball.' }] : [];
    }),
  refusesLeadIn: (_, stations) =>
    stations.some(({ carryM }) => carryM === null)
      ? [{ path: ['scoring'], message: 'Say at each station how far the landing zone is from the ball.' }]
      : [],
  allows: ({ finishM }) => ({ ...ALL_RULES, side: finishM !== null }),
  sees: () => ['landed'],
  tallies: true,
  takesDistance: () => false,
  unit: () => 'hits',
  better: () => 'higher',
  fresh: (system) => ({ scheme: 'landing_zone', shape: 'circle', sizeM: round(system, 3, 1), finishM: null }),
  zones: ({ shape, sizeM, finishM }): Zone[] => [
    { path: 'sizeM', radiusM: sizeM, of: 'landing', strip: shape === 'strip', does: 'lands', edge: 'Edge of the landing zone' },
    ...(finishM === null
      ? []
      : [{ path: 'finishM', radiusM: finishM, of: 'finish' as const, does: 'finishes', edge: 'Edge of the zone to finish in' }]),
  ],
  fitted: (scoring, fit) => ({
    ...scoring,
    sizeM: fit(scoring.sizeM),
    finishM: scoring.finishM === null ? null : fit(scoring.finishM),
  }),
  says({ shape, sizeM, finishM }, { radius, inside }) {
    const where = {
      circle: `within ${radius(sizeM)} of the spot`,
      strip: `within ${radius(sizeM)} of the line, short or long`,
      peg: `within ${radius(sizeM)} of the peg`,
    }[shape];
    return `The ball lands ${where}${finishM === null ? '.' : `, and finishes ${inside(finishM)}.`}`;
  },
  saysGoal: (goal, { turns }) => `${Math.ceil(goal)} of ${counted(turns, 'ball')}.`,
  asks({ scoring: { finishM } }) {
    if (finishM === null) return [wordKey('landed', 'landed', { landed: true }, 1), wordKey('missed', 'missed', { landed: false }, 0)];
    const near = { leftMinM: 0, leftMaxM: finishM };
    const far = { leftMinM: finishM };
    return [
      wordKey('both', 'landed + near', { landed: true, ...near }, 1),
      wordKey('landed', 'landed only', { landed: true, ...far }, 0),
      wordKey('near', 'near only', { landed: false, ...near }, 0),
      wordKey('neither', 'neither', { landed: false, ...far }, 0),
    ];
  },
  start: () => ({ done: 0, landed: 0, finished: 0 }),
  step(state, ball, _lot, { scoring: { finishM } }) {
    const landed = lands(ball);
    const finished = finishM === null || inside(ball, finishM);
    return {
      done: state.done + (landed && finished ? 1 : 0),
      landed: state.landed + (landed ? 1 : 0),
      finished: state.finished + (finished ? 1 : 0),
    };
  },
  score: (state) => state.done,
  success: (ball, _station, { scoring: { finishM } }) => lands(ball) && (finishM === null || inside(ball, finishM)),
  best: ({ turns }) => turns,
  verdict(ball, _station, { scoring: { finishM } }) {
    const landed = lands(ball) ? 'landed' : 'missed';
    return finishM === null ? landed : `${landed}, ${inside(ball, finishM) ? 'near' : 'far'}`;
  },
  notes: ({ landed, finished }, { scoring: { finishM } }) =>
    finishM === null
      ? []
      : [
          { label: 'landed in the zone', value: String(landed) },
          { label: 'finished near the hole', value: String(finished) },
        ],
  compile({ scoring: { finishM } }) {
    let count = 0;
    const worked = (_at: number, ball: KernelBall) => ball.landed && (finishM === null || kernelInside(ball, finishM));
    return {
      reset: () => void (count = 0),
      take: (at, ball) => void (count += worked(at, ball) ? 1 : 0),
      score: () => count,
      worked,
    };
  },
};
