import { METRES_PER, snap, type UnitSystem } from '@/core/units/length';
import type { Result } from '@/core/game/scoring/scheme';
import type { Measure } from '@/core/golf/words';
import type { Place } from '@/ui/target';

/** No ball's centre is nearer to the hole's than its radius without being in it. */
const NEAREST_M = 2.125 * METRES_PER.in;
const FARTHEST_M = 150;

/** A ball tapped on the drawn target: distance and bearing, by eye. */
export function tappedResult({ right, beyond }: Place): Result {
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

/** A ball whose distance left was typed. */
export function typedResult(leftM: number, measured: Measure): Result {
  return { holed: false, leftM, leftMinM: null, leftMaxM: null, bearingDeg: null, measured };
}

/** What was typed on the number pad so far: "4" feet and "3" inches, or "1.3" metres. */
export type Typed = { feet: string; inches: string | null; metres: string };
export const NOTHING_TYPED: Typed = { feet: '', inches: null, metres: '' };

/** The pad after a key: a digit, "." (metres), "ft" (on to the inches) or "back". A key that makes no sense changes nothing. */
export function pressPad(typed: Typed, key: string, system: UnitSystem): Typed {
  if (system === 'metric') {
    const text = typed.metres;
    if (key === 'back') return { ...typed, metres: text.slice(0, -1) };
    const next = key === '.' && text === '' ? '0.' : text + key;
    return /^\d{0,3}(\.\d{0,2})?$/.test(next) ? { ...typed, metres: next } : typed;
  }
  const { feet, inches } = typed;
  if (key === 'ft') return inches === null && feet !== '' ? { ...typed, inches: '' } : typed;
  if (key === 'back') {
    if (inches === null) return { ...typed, feet: feet.slice(0, -1) };
    return { ...typed, inches: inches === '' ? null : inches.slice(0, -1) };
  }
  if (!/^\d$/.test(key)) return typed;
  if (inches === null) return feet.length < 3 ? { ...typed, feet: feet + key } : typed;
  return Number(inches + key) < 12 ? { ...typed, inches: inches + key } : typed;
}

/** "4 ft 3 in", "1.3 m": the pad's text. */
export function sayTyped({ feet, inches, metres }: Typed, system: UnitSystem): string {
  if (system === 'metric') return `${metres || '–'} m`;
  return inches === null ? `${feet || '–'} ft` : `${feet} ft ${inches || '–'} in`;
}

/** The distance that was typed, in metres, or the reason why it is none. */
export function typedMetres({ feet, inches, metres }: Typed, system: UnitSystem): { leftM: number } | { why: string } {
  const empty = system === 'metric' ? metres === '' : feet === '';
  if (empty) return { why: 'Type the distance left.' };
  const leftM = system === 'metric' ? snap(Number(metres)) : snap(Number(feet) * METRES_PER.ft + Number(inches || 0) * METRES_PER.in);
  if (leftM < NEAREST_M) return { why: 'So near is in the hole: press Holed.' };
  if (leftM > FARTHEST_M) return { why: 'That is farther than any short game: check the figure.' };
  return { leftM };
}
