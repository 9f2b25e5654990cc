import type { Station } from '../game/station';
import { isPutt } from '../golf/shot-types';
import type { Conditions } from '../shot/conditions';
import type { LandingPlace } from './landing-place';
import { lyingOf } from './lying';

/** Short names of a place's figures in the address. */
export const NAMES = {
  distanceM: 'd',
  edgeM: 'e',
  fringeM: 'f',
  beyondM: 'b',
  slope: 's',
  sideSlope: 'x',
  riseM: 'h',
  stimpFt: 'v',
  firmness: 'g',
  lie: 'l',
  sit: 'i',
  stance: 'j',
  windMs: 'w',
} as const satisfies Record<keyof LandingPlace, string>;
export const KEYS = Object.keys(NAMES) as (keyof LandingPlace)[];

/** The address part of what is said of a place and of who stands there; empty for nothing. */
export function landingQuery(place: { [Key in keyof LandingPlace]?: LandingPlace[Key] | undefined }, who: object = {}): string {
  const query = new URLSearchParams();
  for (const [name, value] of Object.entries(who)) if (value) query.set(name, String(value));
  for (const key of KEYS) {
    const value = place[key];
    if (value !== undefined) query.set(NAMES[key], typeof value === 'number' ? String(Math.round(value * 1e4) / 1e4) : value);
  }
  return query.size === 0 ? '' : `?${query}`;
}

/**
 * The address part of where to land a ball of a station, on such a day; null for a putt, and in sand, of which there are no figures. Where nobody
 * says how far it is to the green, it is a quarter of the way.
 */
export function landingQueryOf(station: Station, { stimpFt, firmness }: Partial<Conditions> = {}, who: object = {}): string | null {
  const { shotType, surface, distanceM, edgeM } = station;
  if (isPutt(shotType) || surface === 'green' || surface === 'sand') return null;
  const lies = { lie: surface, ...lyingOf(station) };
  return landingQuery({ distanceM, edgeM: edgeM ?? distanceM / 4, ...lies, stimpFt, firmness }, who);
}
