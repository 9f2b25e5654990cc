import * as z from 'zod';
import { CLUB_M, FLAGSTICK_M, PACE_M, PUTTER_M } from '../measures/sticks';
import { formatLength } from '../units/format';
import { METRES_PER, snap, type UnitSystem } from '../units/length';

/** What a coach measures a zone with. */
export const SIZE_UNITS = ['ft', 'm', 'pace', 'club', 'putter', 'flagstick'] as const;
export type SizeUnit = (typeof SIZE_UNITS)[number];

/** Metres of one of each, where nobody measured it. */
export const NOMINAL_M: Readonly<Record<SizeUnit, number>> = {
  ft: METRES_PER.ft,
  m: METRES_PER.m,
  pace: PACE_M,
  club: CLUB_M,
  putter: PUTTER_M,
  flagstick: FLAGSTICK_M,
};

/** How the zones of a game are measured. Radii stand in the game in metres, for a stick or a pace of ordinary length. */
export const sizesSchema = z
  .strictObject({
    unit: z.enum(SIZE_UNITS),
    /** Whose pace, club or putter: the player's own, the coach's, or one of a fixed length. */
    of: z.enum(['player', 'coach', 'fixed']).default('fixed'),
    /** With `fixed`: its length in metres; null for the ordinary one. */
    fixedM: z
      .number({ error: 'Enter the length, or leave it empty.' })
      .min(0.2, 'A measure is 8 in to 10 ft long (0.2 to 3 m).')
      .max(3.05, 'A measure is 8 in to 10 ft long (0.2 to 3 m).')
      .nullable()
      .default(null),
    /** Zones grow and shrink with the player's level: as drawn for level 10. */
    scaled: z.boolean().default(false),
  })
  .superRefine(({ unit, of, fixedM }, ctx) => {
    const refuse = (path: string, message: string) => ctx.addIssue({ code: 'custom', path: [path], message });
    if (!isBodyMeasure(unit) && of !== 'fixed') refuse('of', 'A foot and a metre are the same for everybody.');
    if (unit === 'flagstick' && of === 'player') refuse('of', 'A flagstick belongs to the green: use the coach’s, or a fixed length.');
    if ((!isBodyMeasure(unit) || of !== 'fixed') && fixedM !== null)
      refuse('fixedM', 'Only a fixed pace or stick has a length of its own.');
  });
export type Sizes = z.infer<typeof sizesSchema>;

/** Whether one of these differs from person to person. */
export function isBodyMeasure(unit: SizeUnit): boolean {
  return unit !== 'ft' && unit !== 'm';
}

/** Metres of one unit as the radii in the game are given. */
export function unitM(sizes: Sizes): number {
  return sizes.of === 'fixed' && sizes.fixedM !== null ? sizes.fixedM : NOMINAL_M[sizes.unit];
}

/** The step in which a radius is suggested, in metres: half a foot, a tenth of a metre, a quarter of a pace or a stick. */
export function sizeStepM(sizes: Sizes): number {
  if (sizes.unit === 'ft') return METRES_PER.ft / 2;
  return sizes.unit === 'm' ? 0.1 : unitM(sizes) / 4;
}

/** A person's own measures in metres; null where never measured. */
export type OwnLengths = { paceM: number | null; clubM: number | null; putterM: number | null; flagstickM?: number | null };

/** A player's own measures, and nothing else of them. */
export const lengthsOf = (own: OwnLengths | null) => ({
  paceM: own?.paceM ?? null,
  clubM: own?.clubM ?? null,
  putterM: own?.putterM ?? null,
});

/** The coach's own measures, and nothing else of the academy. */
export const measuresOf = (coach: OwnLengths) => ({ ...lengthsOf(coach), flagstickM: coach.flagstickM ?? null });

/**
 * Metres of one unit for one player of a session.
 * @returns the ordinary length where whoever it is of was never measured
 */
export function unitFor(sizes: Sizes, player: OwnLengths, coach: OwnLengths): number {
  if (sizes.of === 'fixed' || !isBodyMeasure(sizes.unit)) return unitM(sizes);
  const lengths = sizes.of === 'player' ? player : coach;
  const own = lengths[`${sizes.unit as 'pace' | 'club' | 'putter' | 'flagstick'}M`];
  return own ?? unitM(sizes);
}

/** A radius of the game as it is for a player: with their unit, and scaled to them. */
export function fittedM(radiusM: number, sizes: Sizes, own: { unitM: number; scale: number }): number {
  return snap((radiusM / unitM(sizes)) * own.unitM * own.scale);
}

const WORDS: Readonly<Record<SizeUnit, string>> = {
  ft: 'feet',
  m: 'metres',
  pace: 'paces',
  club: 'club-lengths',
  putter: 'putter-lengths',
  flagstick: 'flagsticks',
};
const SHORT: Readonly<Record<SizeUnit, string>> = { ft: 'ft', m: 'm', pace: 'pace', club: 'club', putter: 'putter', flagstick: 'flag' };

/** "feet", "club-lengths": a unit of size in the plural. */
export function saySizeUnit(unit: SizeUnit): string {
  return WORDS[unit];
}

/**
 * A radius in the unit of its game: "6 ft", "2 clubs"; feet and metres as the reader reads them.
 * @param radiusM in metres, of a game whose sizes these are
 */
export function sayRadius(radiusM: number, sizes: Sizes, system: UnitSystem): string {
  if (!isBodyMeasure(sizes.unit)) return formatLength(radiusM, system === 'metric' || sizes.unit === 'm' ? 'm' : 'ft');
  const quarters = Math.round((radiusM / unitM(sizes)) * 4) / 4;
  const n = Math.abs(radiusM / unitM(sizes) - quarters) < 0.005 ? quarters : Math.round((radiusM / unitM(sizes)) * 10) / 10;
  return `${n} ${SHORT[sizes.unit]}${n === 1 ? '' : 's'}`;
}
