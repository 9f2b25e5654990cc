import * as z from 'zod';
import { clubTrial, clubTrialSchema } from './club-trial';
import { hits, hitsSchema } from './hits';
import { holeOut, holeOutSchema } from './hole-out';
import { ladder, ladderSchema } from './ladder';
import { landingZone, landingZoneSchema } from './landing-zone';
import { nearestWins, nearestWinsSchema } from './nearest-wins';
import { ringPoints, ringPointsSchema } from './ring-points';
import type { Scheme } from './scheme';
import { shotMatrix, shotMatrixSchema } from './shot-matrix';
import { streak, streakSchema } from './streak';
import { totalLeft, totalLeftSchema } from './total-left';
import { unscored, unscoredSchema } from './unscored';

/** Every way of scoring, by the name that stands in a game file. */
export const scoringSchema = z.discriminatedUnion('scheme', [
  ringPointsSchema,
  totalLeftSchema,
  hitsSchema,
  landingZoneSchema,
  holeOutSchema,
  ladderSchema,
  nearestWinsSchema,
  shotMatrixSchema,
  clubTrialSchema,
  streakSchema,
  unscoredSchema,
]);
export type Scoring = z.infer<typeof scoringSchema>;
export type SchemeKind = Scoring['scheme'];

const SCHEMES: Readonly<Record<SchemeKind, Scheme<Scoring, unknown>>> = {
  ring_points: ringPoints,
  total_left: totalLeft,
  hits,
  landing_zone: landingZone,
  hole_out: holeOut,
  ladder,
  nearest_wins: nearestWins,
  shot_matrix: shotMatrix,
  club_trial: clubTrial,
  streak,
  unscored,
};

const ALL_KINDS = scoringSchema.options.map((option) => option.shape.scheme.value);
/** The names of the schemes that can be what counts, in the order in which a screen offers them. */
export const SCHEME_KINDS = ALL_KINDS.filter((kind) => SCHEMES[kind].counts);
/** Those that can be a phase before it. */
export const LEAD_IN_KINDS = ALL_KINDS.filter((kind) => SCHEMES[kind].leadsIn);

/** The rules of a scoring. Its state is the scheme's own affair: it goes in and out, and nobody else looks inside. */
export function schemeOf(scoring: { scheme: SchemeKind }): Scheme<Scoring, unknown> {
  return SCHEMES[scoring.scheme];
}
