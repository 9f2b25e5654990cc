import { z } from 'zod';
import { ringPoints, ringPointsSchema } from './ring-points';
import type { Scheme } from './scheme';

/** Every way of scoring, by the name that stands in a game file. */
export const scoringSchema = z.discriminatedUnion('scheme', [ringPointsSchema]);
export type Scoring = z.infer<typeof scoringSchema>;

const SCHEMES = { ring_points: ringPoints } as const;

/** The rules of a scoring. Its state is the scheme's own affair: it goes in and out, and nobody else looks inside. */
export function schemeOf(scoring: Scoring): Scheme<Scoring, unknown> {
  return SCHEMES[scoring.scheme] as Scheme<Scoring, unknown>;
}
