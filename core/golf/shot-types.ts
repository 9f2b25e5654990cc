import type { LengthUnit, UnitSystem } from '../units/length';
import type { ShotType, Surface } from './words';

/** What is followed together over time. */
export const FAMILIES = ['putting', 'chipping', 'pitching', 'bunker'] as const;
export type Family = (typeof FAMILIES)[number];

type Kind = {
  /** The surfaces it is played from, the usual one first. */
  surfaces: readonly Surface[];
  family: Family;
  /** Rolled on the green: what counts is mostly whether it drops. */
  putt: boolean;
  /** Hit into the air: it lands, and somebody can be in its way. */
  flies: boolean;
  plural: string;
};

const OFF_GREEN: readonly Surface[] = ['fringe', 'fairway', 'light_rough', 'heavy_rough', 'bare'];

/** What is particular to each type of shot. */
const KINDS: Readonly<Record<ShotType, Kind>> = {
  putt: { surfaces: ['green'], family: 'putting', putt: true, flies: false, plural: 'putts' },
  fringe_putt: {
    surfaces: ['fringe', 'fairway', 'light_rough', 'bare'],
    family: 'chipping',
    putt: false,
    flies: false,
    plural: 'putts',
  },
  bump_and_run: { surfaces: OFF_GREEN, family: 'chipping', putt: false, flies: true, plural: 'bump and runs' },
  chip: { surfaces: OFF_GREEN, family: 'chipping', putt: false, flies: true, plural: 'chips' },
  pitch: { surfaces: OFF_GREEN, family: 'pitching', putt: false, flies: true, plural: 'pitches' },
  lob: { surfaces: OFF_GREEN, family: 'pitching', putt: false, flies: true, plural: 'lobs' },
  bunker: { surfaces: ['sand'], family: 'bunker', putt: false, flies: true, plural: 'bunker shots' },
};

/** The surfaces a shot type is played from, the usual one first. A putt is on the green by definition, a bunker shot from sand. */
export function surfacesOf(shotType: ShotType): readonly Surface[] {
  return KINDS[shotType].surfaces;
}

/** Whether the shot itself says from where it is played. */
export function saysSurface(shotType: ShotType): boolean {
  return KINDS[shotType].surfaces.length === 1;
}

export function familyOf(shotType: ShotType): Family {
  return KINDS[shotType].family;
}

/** The type of a shot as it was played with a club: with a putter nobody chips, but putts from off the green, where that can be done. */
export function typeWith(shotType: ShotType, surface: Surface, club: string | null): ShotType {
  const putter = club !== null && /\bputter\b/i.test(club);
  return putter && flies(shotType) && surfacesOf('fringe_putt').includes(surface) ? 'fringe_putt' : shotType;
}

/** Whether a shot is rolled on the green. */
export function isPutt(shotType: ShotType): shotType is 'putt' {
  return KINDS[shotType].putt;
}

/** Whether a shot is hit into the air. */
export function flies(shotType: ShotType): boolean {
  return KINDS[shotType].flies;
}

/** "pitches", "bump and runs". */
export function pluralOf(shotType: ShotType): string {
  return KINDS[shotType].plural;
}

/** The unit in which distances of a shot are said to somebody: putts in feet, all others in yards; in metres to whoever reads metres. */
export function unitOf(shotType: ShotType, system: UnitSystem): LengthUnit & ('ft' | 'yd' | 'm') {
  if (system === 'metric') return 'm';
  return isPutt(shotType) ? 'ft' : 'yd';
}
