import { CLUB_M, PACE_M } from '@/core/measures/sticks';
import { METRES_PER, snap } from '@/core/units/length';
import type { Result } from '@/core/game/scoring/ball';
import type { Measure } from '@/core/golf/words';
import type { FromHole } from '@/ui/target';

/** No ball's centre is nearer to the hole's than its radius without being in it. */
const NEAREST_M = 2.125 * METRES_PER.in;
const FARTHEST_M = 150;

/** A ball tapped on the drawn target: distance and bearing, by eye. */
export function tappedResult({ right, beyond }: FromHole): Result {
  const bearing = (Math.atan2(right, beyond) * 180) / Math.PI;
  return {
    holed: false,
    leftM: snap(Math.max(NEAREST_M, Math.hypot(right, beyond))),
    leftMinM: null,
    leftMaxM: null,
    bearingDeg: Math.round((bearing + 360) % 360) % 360,
    measured: 'eye',
  };
}

/** A ball whose distance left was typed; of several balls, with their total. */
export function typedResult(leftM: number, measured: Measure, balls = 1): Result {
  const nothing = { holed: false, leftMinM: null, leftMaxM: null, bearingDeg: null, measured };
  return balls > 1 ? { ...nothing, leftM: null, nBalls: balls, sumLeftM: leftM } : { ...nothing, leftM };
}

/** In what a distance is typed; a pace and a club are the player's own. */
export const PAD_UNITS = ['ft', 'm', 'pace', 'club'] as const;
export type PadUnit = (typeof PAD_UNITS)[number];

/** What was typed on the number pad so far: "4" feet and "3" inches, or "1.3" of anything else. */
export type Typed = { unit: PadUnit; whole: string; inches: string | null };

export function nothingTyped(unit: PadUnit): Typed {
  return { unit, whole: '', inches: null };
}

/** The pad after a key: a digit, "." (not in feet), "ft" (on to the inches) or "back". A key that makes no sense changes nothing. */
export function pressPad(typed: Typed, key: string): Typed {
  const { unit, whole, inches } = typed;
  if (unit !== 'ft') {
    if (key === 'back') return { ...typed, whole: whole.slice(0, -1) };
    const next = key === '.' && whole === '' ? '0.' : whole + key;
    return /^\d{0,3}(\.\d{0,2})?$/.test(next) ? { ...typed, whole: next } : typed;
  }
  if (key === 'ft') return inches === null && whole !== '' ? { ...typed, inches: '' } : typed;
  if (key === 'back') {
    if (inches === null) return { ...typed, whole: whole.slice(0, -1) };
    return { ...typed, inches: inches === '' ? null : inches.slice(0, -1) };
  }
  if (!/^\d$/.test(key)) return typed;
  if (inches === null) return whole.length < 3 ? { ...typed, whole: whole + key } : typed;
  return Number(inches + key) < 12 ? { ...typed, inches: inches + key } : typed;
}

const UNIT_WORDS: Readonly<Record<PadUnit, string>> = { ft: 'ft', m: 'm', pace: 'paces', club: 'clubs' };
export function sayPadUnit(unit: PadUnit): string {
  return UNIT_WORDS[unit];
}

/** "4 ft 3 in", "1.3 m", "2.5 paces": the pad's text. */
export function sayTyped({ unit, whole, inches }: Typed): string {
  return inches === null ? `${whole || '–'} ${UNIT_WORDS[unit]}` : `${whole} ft ${inches || '–'} in`;
}

/** Metres of a pace and a club of whoever measures; null where nobody measured them. */
export type PadMeasures = { paceM: number | null; clubM: number | null };

/**
 * The distance that was typed, in metres, or the reason why it is none.
 * @param balls of how many balls it is the total
 */
export function typedMetres({ unit, whole, inches }: Typed, own: PadMeasures, balls = 1): { leftM: number } | { why: string } {
  if (whole === '') return { why: balls > 1 ? 'Type the total left.' : 'Type the distance left.' };
  const per = { ft: METRES_PER.ft, m: 1, pace: own.paceM ?? PACE_M, club: own.clubM ?? CLUB_M }[unit];
  const leftM = snap(Number(whole) * per + Number(inches ?? 0) * METRES_PER.in);
  if (balls === 1 && leftM < NEAREST_M) return { why: 'That’s in the hole: press Holed.' };
  if (leftM > FARTHEST_M * balls) return { why: 'That’s farther than any short-game shot. Check the figure.' };
  return { leftM };
}
