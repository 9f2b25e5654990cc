import type { Sit, Stance, Surface } from '../golf/words';
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
/** The more grass between face and ball, the less it grips. */
const IN_GRASS: readonly Contact[] = [
  CLEAN,
  { grip: 0.22, bounce: 0.74, spin: 0.85, loftDeg: 0 },
  { grip: 0.13, bounce: 0.6, spin: 0.6, loftDeg: 0 },
  { grip: 0.09, bounce: 0.48, spin: 0.45, loftDeg: 0 },
];
const BARE: Contact = { grip: 0.42, bounce: 0.8, spin: 1, loftDeg: -3 };

/** A lie from which a flight can be reckoned: of sand there are no values that could be trusted. */
export type PlayableLie = Exclude<Surface, 'sand'>;
/** In how much grass a ball lies. */
const GRASS: Readonly<Record<PlayableLie, number>> = { green: 0, fringe: 0, fairway: 0, bare: 0, light_rough: 1, heavy_rough: 2 };
/** A ball that sits down is met as one in the next longer grass, one that sits up as in the next shorter; buried is sand's. */
const DEEPER: Readonly<Record<Sit, number>> = { clean: 0, up: -1, down: 1, buried: 1 };

function contactOf(lie: PlayableLie, sit: Sit): Contact {
  if (lie === 'bare' && sit !== 'down') return BARE;
  const grass = IN_GRASS[Math.max(0, GRASS[lie] + DEEPER[sit])]!;
  return lie === 'bare' ? { ...grass, loftDeg: BARE.loftDeg } : grass;
}

/** How steep a slope under the feet is that is called one, in degrees. A judgement. */
const UNDERFOOT_DEG = 5;
/** The swing follows the ground: uphill adds as much as the ground rises, downhill takes it off. */
const TILT: Readonly<Record<Stance, number>> = { flat: 0, uphill: UNDERFOOT_DEG, downhill: -UNDERFOOT_DEG, ball_above: 0, ball_below: 0 };

/** A shot as it is struck: loft of the club as it is made in degrees, how high it is played, from what lie; a clean ball and level feet where nothing is said. */
export type Struck = { loftDeg: number; flight: Flight; lie: PlayableLie; sit?: Sit; stance?: Stance };

/** How the ball leaves the club: its speed in m/s, its angle above level in degrees, its backspin in rad/s. */
export type Launch = { speed: number; angleDeg: number; spin: number };

/**
 * How a ball leaves the face: what bounces off it, and what the face grips, no more than makes it roll up the face.
 * Rigid bodies with friction and restitution; m/M is the ball's mass over the head's.
 * @param headSpeed of the club, in m/s, more than 0
 */
export function launch(headSpeed: number, { loftDeg, flight, lie, sit = 'clean', stance = 'flat' }: Struck): Launch {
  const { grip, bounce, spin, loftDeg: less } = contactOf(lie, sit);
  const { lean, down } = DELIVERY[flight];
  const face = loftDeg + less - lean - LEAN_PER_SPEED * Math.max(0, headSpeed - LEAN_FROM);
  const oblique = ((face + down) * Math.PI) / 180;
  const off = (headSpeed * Math.cos(oblique) * (1 + bounce)) / (1 + MASS_RATIO);
  const along = Math.min((headSpeed * Math.sin(oblique)) / (3.5 + MASS_RATIO), grip * off);
  return {
    speed: Math.hypot(off, along),
    angleDeg: face + TILT[stance] - (Math.atan2(along, off) * 180) / Math.PI,
    spin: ((2.5 * along) / BALL_R) * spin,
  };
}

/**
 * How far to one side a face looks when the ball lies above or below the feet: the whole club is tilted, and a lofted face looks along the tilt.
 * @returns degrees to the left of a right-hander's line (to the right of a left-hander's); negative is the other way
 */
export function pullDeg(loftDeg: number, stance: Stance): number {
  const tilt = stance === 'ball_above' ? 1 : stance === 'ball_below' ? -1 : 0;
  const radians = Math.PI / 180;
  return Math.atan(Math.tan(loftDeg * radians) * Math.sin(tilt * UNDERFOOT_DEG * radians)) / radians;
}
