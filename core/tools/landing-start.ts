import * as z from 'zod';
import { SURFACES, TRAJECTORIES } from '../golf/words';

/** A landing spot of which a game is made: where from, where to land it, with what; in metres. */
export const landingStartSchema = z.object({
  carryM: z.number().gt(0).max(110),
  distanceM: z.number().gt(0).max(110),
  edgeM: z.number().min(0).max(110),
  lie: z.enum(SURFACES).exclude(['green', 'sand']),
  club: z.string().max(20),
  flight: z.enum(TRAJECTORIES),
  /** The station of a green it was worked out for. */
  on: z.object({ green: z.uuid(), station: z.string().max(40) }).nullable(),
});
export type LandingStart = z.infer<typeof landingStartSchema>;
