import * as z from 'zod';
import { FIRMNESSES, SITS, STANCES, SURFACES } from '../golf/words';
import type { UnitSystem } from '../units/length';

const length = (what: string, lowM: number, highM: number, range: string) =>
  z
    .number({ error: `Enter ${what} as a number.` })
    .min(lowM, range)
    .max(highM, range);

/** Where a shot is played from and over what, in figures that somebody who stands there can type; metres, and rise over run. */
export const landingPlaceSchema = z
  .object({
    distanceM: length('the distance', 2, 110, 'Landing spots are worked out from 2 to 120 yd (2 to 110 m).'),
    /** From the ball to where the green begins. */
    edgeM: length('the carry to the green', 0, 110, 'The green begins between the ball and the hole.'),
    /** The fringe before it and behind it. */
    fringeM: length('the fringe', 0, 10, 'A fringe is at most 33 ft (10 m) wide.'),
    /** Green behind the hole. */
    beyondM: length('the green behind the hole', 0.3, 40, 'From 1 ft (0.3 m) to 44 yd (40 m) of green behind the hole.'),
    /** Of the green along the line: positive is uphill. */
    slope: z.number({ error: 'Enter the slope in percent.' }).min(-0.12, 'A slope is at most 12%.').max(0.12, 'A slope is at most 12%.'),
    /** Of the green across the line: positive lies higher on the right. */
    sideSlope: z
      .number({ error: 'Enter the slope in percent.' })
      .min(-0.12, 'A slope is at most 12%.')
      .max(0.12, 'A slope is at most 12%.'),
    /** How far the edge of the green lies above the ball. */
    riseM: length('the height', -8, 8, 'At most 26 ft (8 m) up or down.'),
    stimpFt: z.number({ error: 'Enter the speed in feet.' }).min(3, 'A green speed is 3 to 16 ft.').max(16, 'A green speed is 3 to 16 ft.'),
    firmness: z.enum(FIRMNESSES),
    lie: z.enum(SURFACES).exclude(['green']),
    sit: z.enum(SITS).exclude(['buried']),
    stance: z.enum(STANCES),
    /** Along the line, in m/s: positive helps. */
    windMs: z.number({ error: 'Enter the wind as a number.' }).min(-15, 'At most 33 mph (15 m/s).').max(15, 'At most 33 mph (15 m/s).'),
  })
  .superRefine(({ distanceM, edgeM }, ctx) => {
    if (edgeM >= distanceM)
      ctx.addIssue({ code: 'custom', path: ['edgeM'], message: 'The green begins before the hole: enter less than the distance.' });
  });
export type LandingPlace = z.infer<typeof landingPlaceSchema>;

/** A first bounce is wanted so far beyond the edge, in metres: a yard. */
const PAST_EDGE_M = 0.9144;

/** The kind of shot that a place asks for, by whose spread it is played: a pitch where it carries half of the distance at least. */
export function shotFor({ lie, edgeM, distanceM }: Pick<LandingPlace, 'lie' | 'edgeM' | 'distanceM'>): 'chip' | 'pitch' | 'bunker' {
  if (lie === 'sand') return 'bunker';
  return edgeM + PAST_EDGE_M < distanceM / 2 ? 'chip' : 'pitch';
}

/** A plain chip, to begin with: twelve yards, three of them to the green; in metres the same in round figures. */
export const USUAL_PLACE: LandingPlace = {
  distanceM: 10.9728,
  edgeM: 2.7432,
  fringeM: 0.9144,
  beyondM: 9.144,
  slope: 0,
  sideSlope: 0,
  riseM: 0,
  stimpFt: 9,
  firmness: 'medium',
  lie: 'fairway',
  sit: 'clean',
  stance: 'flat',
  windMs: 0,
};
const USUAL_IN_METRES: LandingPlace = { ...USUAL_PLACE, distanceM: 11, edgeM: 2.5, fringeM: 1, beyondM: 9 };
export const usualPlace = (units: UnitSystem): LandingPlace => (units === 'metric' ? USUAL_IN_METRES : USUAL_PLACE);
