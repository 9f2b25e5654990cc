import * as z from 'zod';
import { counted, inWords } from '../../units/format';
import { edgeSchema, pointsSchema, round } from './fields';
import { holedKey, outsideKey, ringKey } from './answer-keys';
import { farM, type ScoredBall } from './ball';
import { kernelInside, type Kernel, type KernelBall } from './kernel';
import { ALL_RULES, PLAIN, type Scheme } from './scheme';
import { key } from '../../stored';

export const MOST_RINGS = 8;

export const ringSchema = z.strictObject({ key, radiusM: edgeSchema, points: pointsSchema });

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
export function ringPointsFor(scoring: RingPoints, ball: ScoredBall): number {
  if (ball.holed) return scoring.holedPoints;
  const far = farM(ball);
  return scoring.rings.find((ring) => far <= ring.radiusM)?.points ?? 0;
}

/** The evenest way to so many points: balls in two neighbouring rings, and one between where it does not come out even. */
function sayEvenly(goal: number, balls: number, { rings, holedPoints }: RingPoints, inside: (radiusM: number) => string): string {
  const places = [
    { points: holedPoints, say: 'holed' },
    ...rings.map(({ radiusM, points }) => ({ points, say: inside(radiusM) })),
    { points: 0, say: 'outside' },
  ].filter(({ points }, i, all) => all.findIndex((other) => other.points === points) === i);
  const needed = Math.ceil(goal);
  const low = places.find(({ points }) => points * balls <= needed)!;
  const head = `${needed} over ${counted(balls, 'ball')}: `;
  const high = places[places.indexOf(low) - 1];
  if (!high) return `${head}each ${low.say}.`;
  const many = Math.floor((needed - low.points * balls) / (high.points - low.points));
  const rest = needed - low.points * (balls - many) - high.points * many;
  const last = rest === 0 ? null : places.findLast(({ points }) => points >= low.points + rest)!;
  const total = low.points * (balls - many - (last ? 1 : 0)) + high.points * many + (last?.points ?? 0);
  const groups = [
    { n: many + (last === high ? 1 : 0), say: high.say },
    { n: last && last !== high ? 1 : 0, say: last?.say ?? '' },
    { n: balls - many - (last ? 1 : 0), say: low.say },
  ].filter(({ n }) => n > 0);
  const said = groups.map(({ n, say: where }) => `${inWords(n)} ${where}`).join(', ');
  return `${head}${said}${total > needed ? ` (which makes ${total})` : ''}.`;
}

/** Rings round the hole, each worth points; holed is worth most; most points wins. The state is the points so far. */
export const ringPoints: Scheme<RingPoints, number> = {
  ...PLAIN,
  kind: 'ring_points',
  label: 'ring points',
  inShort: 'Rings worth points, most wins.',
  about: 'Rings round the hole, each worth points; holed is worth most. Most points wins.',
  allows: () => ALL_RULES,
  tallies: true,
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
  zones: ({ rings }) =>
    rings.map(({ radiusM, points }, i) => ({
      path: `rings.${i}.radiusM`,
      radiusM,
      of: 'finish',
      does: Number.isFinite(points) ? String(points) : '?',
      edge: `Edge of ring ${i + 1}`,
    })),
  fitted: (scoring, fit) => ({ ...scoring, rings: scoring.rings.map((ring) => ({ ...ring, radiusM: fit(ring.radiusM) })) }),
  says({ rings, holedPoints }, { inside }) {
    const worth = rings.map(({ radiusM, points }) => `${inside(radiusM)}: ${points}`).join('; ');
    return `Holed: ${holedPoints}; ${worth}; outside: 0. A ball on the line scores the inner ring.`;
  },
  saysGoal: (goal, { scoring, turns }, { inside }) => sayEvenly(goal, turns, scoring, inside),
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
  compile: ({ scoring }) => new RingKernel(scoring),
};

/** Steps of the distance in which simulated balls are looked up. */
const STEPS_PER_M = 64;

/** What a ball earns is looked up by the step that its distance is in, so that most balls need one look. */
class RingKernel implements Kernel {
  private readonly edges: Float64Array;
  private readonly worth: Int32Array;
  /** −1 where an edge lies in the step. */
  private readonly steps: Int32Array;
  private points = 0;

  constructor(private readonly scoring: RingPoints) {
    const { rings } = scoring;
    this.edges = Float64Array.from(rings, (ring) => ring.radiusM);
    this.worth = Int32Array.from([...rings.map((ring) => ring.points), 0]);
    this.steps = Int32Array.from({ length: Math.ceil(rings.at(-1)!.radiusM * STEPS_PER_M) + 1 }, (_, i) => {
      const [near, far] = [this.ringAt(i / STEPS_PER_M), this.ringAt((i + 1) / STEPS_PER_M)];
      return near === far ? this.worth[near]! : -1;
    });
  }

  reset() {
    this.points = 0;
  }

  take(_at: number, ball: KernelBall) {
    if (ball.holed) this.points += this.scoring.holedPoints;
    else if (ball.goodSide) {
      const place = ball.leftM * STEPS_PER_M;
      if (place >= this.steps.length) return;
      const earned = this.steps[place | 0]!;
      this.points += earned >= 0 ? earned : this.worth[this.ringAt(ball.leftM)]!;
    }
  }

  score() {
    return this.points;
  }

  worked(_at: number, ball: KernelBall) {
    return kernelInside(ball, this.edges[0]!);
  }

  /** The place of the ring in which a distance lies; as many as there are rings outside of all. */
  private ringAt(leftM: number): number {
    let ring = 0;
    while (ring < this.edges.length && leftM > this.edges[ring]!) ring += 1;
    return ring;
  }
}
