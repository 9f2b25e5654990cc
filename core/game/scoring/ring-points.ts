import { z } from 'zod';
import { counted } from '../../units/format';
import { edgeSchema, pointsSchema, round } from './fields';
import { ALL_RULES, farM, holedKey, kernelInside, outsideKey, PLAIN, ringKey, type Ball, type Scheme } from './scheme';

export const MOST_RINGS = 8;

export const ringSchema = z.strictObject({ key: z.string().min(1).max(40), radiusM: edgeSchema, points: pointsSchema });

export const ringPointsSchema = z
  .strictObject({
    scheme: z.literal('ring_points'),
    rings: z.array(ringSchema).min(1, 'At least one ring.').max(MOST_RINGS, `At most ${MOST_RINGS} rings.`),
    holedPoints: pointsSchema,
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
export function ringPointsFor(scoring: RingPoints, ball: Ball): number {
  if (ball.holed) return scoring.holedPoints;
  const far = farM(ball);
  return scoring.rings.find((ring) => far <= ring.radiusM)?.points ?? 0;
}

/** Rings round the hole, each worth points; holed is worth most; most points wins. The state is the points so far. */
export const ringPoints: Scheme<RingPoints, number> = {
  ...PLAIN,
  kind: 'ring_points',
  label: 'ring points',
  about: 'Rings round the hole, each worth points; holed is worth most. Most points wins.',
  allows: () => ALL_RULES,
  takesDistance: () => true,
  unit: () => 'points',
  better: () => 'higher',
  fresh: (system) => ({
    scheme: 'ring_points',
    holedPoints: 6,
    rings: [
      { key: 'r1', radiusM: round(system, 2, 0.6), points: 4 },
      { key: 'r2', radiusM: round(system, 5, 1.5), points: 2 },
      { key: 'r3', radiusM: round(system, 9, 3), points: 1 },
    ],
  }),
  fitted: (scoring, fit) => ({ ...scoring, rings: scoring.rings.map((ring) => ({ ...ring, radiusM: fit(ring.radiusM) })) }),
  asks({ scoring: { rings, holedPoints } }) {
    const innerM = (i: number) => rings[i - 1]?.radiusM ?? 0;
    return [
      holedKey(holedPoints),
      ...rings.map((ring, i) => ringKey(ring.key, innerM(i), ring.radiusM, ring.points)),
      outsideKey(innerM(rings.length), 0),
    ];
  },
  start: () => 0,
  step: (state, ball, _lot, { scoring }) => state + ringPointsFor(scoring, ball),
  score: (state) => state,
  success: (ball, _station, { scoring }) => ball.holed || farM(ball) <= scoring.rings[0]!.radiusM,
  best: ({ scoring, turns }) => scoring.holedPoints * turns,
  verdict: (ball, _station, { scoring }) => counted(ringPointsFor(scoring, ball), 'point'),
  compile({ scoring }) {
    const edges = Float64Array.from(scoring.rings, (ring) => ring.radiusM);
    const worth = Float64Array.from(scoring.rings, (ring) => ring.points);
    let points = 0;
    return {
      reset: () => void (points = 0),
      take(_at, ball) {
        if (ball.holed) points += scoring.holedPoints;
        else if (ball.goodSide) {
          for (let i = 0; i < edges.length; i++)
            if (ball.leftM <= edges[i]!) {
              points += worth[i]!;
              break;
            }
        }
      },
      score: () => points,
      over: () => false,
      worked: (_at, ball) => kernelInside(ball, edges[0]!),
    };
  },
};
