import * as z from 'zod';
import { shippedReference } from '@/core/golf/reference';
import { levelSchema } from '@/core/golf/level';
import { USUAL_BAG } from '@/core/golf/usual-bag';
import { FIRMNESSES, SITS, STANCES, SURFACES } from '@/core/golf/words';
import { PACE_M } from '@/core/measures/sticks';
import { answerLanding } from '@/core/tools/landing-answer';
import { UNMEASURED_RUN } from '@/core/tools/landing-options';
import { landingPlaceSchema, USUAL_PLACE } from '@/core/tools/landing-place';
import { SAND_WORDS } from '@/core/tools/say-landing';
import { asLevel } from '@/core/tools/strays';
import { METRES_PER } from '@/core/units/length';
import { MPH } from '@/core/units/speed';
import { readOptions } from './evidence';

export const USAGE =
  'landing --distance 20yd --carry 5yd [--fringe 1yd] [--beyond 10yd] [--stimp FT] [--slope PERCENT] [--side PERCENT] [--rise LENGTH] [--firmness soft|medium|firm] [--lie LIE] [--sit clean|up|down] [--stance STANCE] [--wind MPH] [--level H]';

/** "20yd", "6.5 m", "18ft" in metres. */
const lengthSchema = (name: string) =>
  z.string().transform((text, ctx) => {
    const [, number, unit] = /^\s*([+-]?\d+(?:\.\d+)?)\s*(yd|ft|m)\s*$/.exec(text) ?? [];
    if (number && unit) return Number(number) * METRES_PER[unit as 'yd' | 'ft' | 'm'];
    ctx.addIssue({ code: 'custom', message: `--${name} is a length, such as 20yd, 60ft or 18m.` });
    return z.NEVER;
  });
const number = (name: string) => z.coerce.number({ error: `--${name} is a number.` });

const optionsSchema = z.object({
  distance: lengthSchema('distance'),
  carry: lengthSchema('carry'),
  fringe: lengthSchema('fringe').optional(),
  beyond: lengthSchema('beyond').optional(),
  rise: lengthSchema('rise').optional(),
  stimp: number('stimp').optional(),
  slope: number('slope').optional(),
  side: number('side').optional(),
  firmness: z.enum(FIRMNESSES, { error: `--firmness is one of ${FIRMNESSES.join(', ')}.` }).optional(),
  lie: z.enum(SURFACES, { error: `--lie is one of ${SURFACES.join(', ')}.` }).optional(),
  sit: z.enum(SITS).exclude(['buried'], { error: '--sit is one of clean, up, down.' }).optional(),
  stance: z.enum(STANCES, { error: `--stance is one of ${STANCES.join(', ')}.` }).optional(),
  wind: number('wind').optional(),
  level: levelSchema.default(10),
});

const OPTIONS = Object.fromEntries(Object.keys(optionsSchema.shape).map((name) => [name, { type: 'string' }])) as Record<
  string,
  { type: 'string' }
>;

const yards = (metres: number) => Number((metres / METRES_PER.yd).toFixed(2));
const share = (value: number) => Number(value.toFixed(4));

/** `landing`: where to land each of the usual clubs, low, medium and high. */
export function landing(args: readonly string[]): object {
  const { options } = readOptions(args, OPTIONS, optionsSchema, USAGE);
  const { distance, carry, fringe, beyond, rise, stimp, slope, side, firmness, lie, sit, stance, wind, level } = options;
  const read = landingPlaceSchema.safeParse({
    ...USUAL_PLACE,
    distanceM: distance,
    edgeM: carry,
    ...(fringe !== undefined && { fringeM: fringe }),
    ...(beyond !== undefined && { beyondM: beyond }),
    ...(rise !== undefined && { riseM: rise }),
    ...(stimp !== undefined && { stimpFt: stimp }),
    ...(slope !== undefined && { slope: slope / 100 }),
    ...(side !== undefined && { sideSlope: side / 100 }),
    ...(firmness && { firmness }),
    ...(lie && { lie }),
    ...(sit && { sit }),
    ...(stance && { stance }),
    ...(wind !== undefined && { windMs: wind * MPH }),
  });
  if (!read.success) throw new Error(read.error.issues[0]!.message);
  const place = read.data;
  if (place.lie === 'sand') return { level, options: [], answer: SAND_WORDS };
  const asked = { place, on: null, clubs: USUAL_BAG, strays: asLevel(level), run: UNMEASURED_RUN, paceM: PACE_M, clubM: null };
  return {
    level,
    options: answerLanding(asked, shippedReference).map((option) => ({
      club: option.club.label,
      club_loft_deg: option.club.loftDeg,
      trajectory: option.flight,
      answer: option.answer,
      ...(option.answer === 'found' && {
        carry_yd: yards(option.carryM),
        carry_from_yd: yards(option.carries.fromM),
        carry_to_yd: yards(option.carries.toM),
        run_yd: yards(option.runM),
        apex_ft: Number((option.apexM / METRES_PER.ft).toFixed(2)),
        drift_ft: Number((option.driftM / METRES_PER.ft).toFixed(2)),
        landing_deg: Number(option.landingDeg.toFixed(1)),
        lands_on: option.landsOn,
        expected_strokes: share(option.chances.strokes),
        within_club_length: share(option.chances.within),
        off_green: share(option.chances.offGreen),
      }),
    })),
  };
}
