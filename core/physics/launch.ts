import type { Surface } from '../golf/words';
import { BALL_KG, BALL_R } from './ball';

/** How high a shot is played with the same club: how the hands and the swing bring the face to the ball. */
export type Flight = 'low' | 'medium' | 'high';

/** How far the hands are ahead of the ball at impact, and how steeply the head comes down, in degrees. Judgements. */
const DELIVERY: Readonly<Record<Flight, { lean: number; down: number }>> = {
  low: { lean: 8, down: 6 },
  medium: { lean: 3, down: 4 },
  high: { lean: -3, down: 2 },
};
/** Faster swings have the hands farther ahead: degrees for each m/s of the head beyond so many. A judgement. */
const LEAN_PER_SPEED = 0.2;
const LEAN_FROM = 6;
/** The ball over the head of the club, by mass. */
const MASS_RATIO = BALL_KG / 0.3;

/** How a lie lets the face meet the ball: grip of the face, bounce off it, what is left of the spin, and of the loft. Judgements. */
type Contact = { grip: number; bounce: number; spin: number; loftDeg: number };
const CLEAN: Contact = { grip: 0.4, bounce: 0.78, spin: 1, loftDeg: 0 };
const CONTACT: Readonly<Record<Exclude<Surface, 'sand'>, Contact>> = {
  green: CLEAN,
  fringe: CLEAN,
  fairway: CLEAN,
  light_rough: { grip: 0.22, bounce: 0.74, spin: 0.85, loftDeg: 0 },
  heavy_rough: { grip: 0.13, bounce: 0.6, spin: 0.6, loftDeg: 0 },
  bare: { grip: 0.42, bounce: 0.8, spin: 1, loftDeg: -3 },
};

/** A lie from which a flight can be reckoned: of sand there are no values that could be trusted. */
export type PlayableLie = keyof typeof CONTACT;

/** How the ball leaves the club: its speed in m/s, its angle above level in degrees, its backspin in rad/s. */
export type Launch = { speed: number; angleDeg: number; spin: number };

/**
 * How a ball leaves the face: what bounces off it, and what the face grips, no more than makes it roll up the face.
 * Rigid bodies with friction and restitution; m/M is the ball's mass over the head's.
 * @param headSpeed of the club, in m/s, more than 0
 * @param loftDeg of the club as it is made
 */
export function launch(headSpeed: number, loftDeg: number, flight: Flight, lie: PlayableLie): Launch {
  const { grip, bounce, spin, loftDeg: less } = CONTACT[lie];
  const { lean, down } = DELIVERY[flight];
  const face = loftDeg + less - lean - LEAN_PER_SPEED * Math.max(0, headSpeed - LEAN_FROM);
  const oblique = ((face + down) * Math.PI) / 180;
  const off = (headSpeed * Math.cos(oblique) * (1 + bounce)) / (1 + MASS_RATIO);
  const along = Math.min((headSpeed * Math.sin(oblique)) / (3.5 + MASS_RATIO), grip * off);
  return {
    speed: Math.hypot(off, along),
    angleDeg: face - (Math.atan2(along, off) * 180) / Math.PI,
    spin: ((2.5 * along) / BALL_R) * spin,
  };
}
