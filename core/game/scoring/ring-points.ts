import { z } from 'zod';
import { METRES_PER } from '../../units/length';
import type { AnswerKey, Result, Scheme } from './scheme';

export const MOST_RINGS = 8;
const WIDEST_M = 100 * METRES_PER.ft;

const points = z.int({ error: 'Give a whole number of points.' }).min(0, 'Points are not negative.').max(1000, 'At most 1000 points.');

export const ringSchema = z.strictObject({
  key: z.string().min(1).max(40),
  radiusM: z
    .number({ error: 'Give the distance from the hole as a number.' })
    .gt(0, 'A ring must be wider than nothing.')
    .max(WIDEST_M, 'A ring is at most 100 ft (30.5 m) wide.'),
  points,
});

export const ringPointsSchema = z
  .strictObject({
    scheme: z.literal('ring_points'),
    /** The unit in which the coach gave the rings. */
    ringUnit: z.enum(['ft', 'm']),
    rings: z.array(ringSchema).min(1, 'At least one ring.').max(MOST_RINGS, `At most ${MOST_RINGS} rings.`),
    holedPoints: points,
  })
  .superRefine(({ rings, holedPoints }, ctx) => {
    const refuse = (path: (string | number)[], message: string) => ctx.addIssue({ code: 'custom', path, message });
    rings.forEach((ring, i) => {
      const inner = rings[i - 1];
      if (inner && ring.radiusM <= inner.radiusM) refuse(['rings', i, 'radiusM'], `Ring ${i + 1} must be wider than ring ${i}.`);
      if (inner && ring.points > inner.points)
        refuse(['rings', i, 'points'], `A ball farther away cannot earn more: at most ${inner.points} here.`);
    });
    if (rings[0] && holedPoints < rings[0].points)
      refuse(['holedPoints'], `Holed cannot earn less than the first ring: at least ${rings[0].points}.`);
    if (new Set(rings.map((ring) => ring.key)).size < rings.length) refuse(['rings'], 'Two rings have the same key.');
  });
export type RingPoints = z.infer<typeof ringPointsSchema>;

/**
 * What one ball earns. A ball on a ring's edge scores the inner ring. Of a ball of which only a range of distances is
 * known, the far end counts: a doubt never earns points.
 */
export function ringPointsFor(scoring: RingPoints, ball: Result): number {
  if (ball.holed) return scoring.holedPoints;
  const farM = ball.leftM ?? ball.leftMaxM ?? Infinity;
  return scoring.rings.find((ring) => farM <= ring.radiusM)?.points ?? 0;
}

const pressed = (result: Partial<Result>): Result => ({
  holed: false,
  leftM: null,
  leftMinM: null,
  leftMaxM: null,
  bearingDeg: null,
  measured: 'ring',
  ...result,
});

function asks({ rings, holedPoints }: RingPoints): AnswerKey[] {
  const innerM = (i: number) => rings[i - 1]?.radiusM ?? 0;
  const outermostM = innerM(rings.length);
  return [
    { key: 'holed', kind: 'holed', edgeM: null, points: holedPoints, result: pressed({ holed: true }) },
    ...rings.map((ring, i): AnswerKey => ({
      key: ring.key,
      kind: 'ring',
      edgeM: ring.radiusM,
      points: ring.points,
      result: pressed({ leftMinM: innerM(i), leftMaxM: ring.radiusM }),
    })),
    { key: 'outside', kind: 'outside', edgeM: outermostM, points: 0, result: pressed({ leftMinM: outermostM }) },
  ];
}

/** Rings round the hole, each worth points; holed is worth most; most points wins. The state is the points so far. */
export const ringPoints: Scheme<RingPoints, number> = {
  kind: 'ring_points',
  label: 'ring points',
  better: 'higher',
  asks,
  start: () => 0,
  step: (state, ball, scoring) => state + ringPointsFor(scoring, ball),
  score: (state) => state,
  over: () => false,
  best: (scoring, balls) => scoring.holedPoints * balls,
};
