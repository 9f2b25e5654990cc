import { BALL_R } from './ball';
import type { Patch } from './ground';

/** Friction of a ball on turf. */
const TURF_GRIP = 0.4;
/** How far turf gives way under a ball of so many m/s that comes in so many degrees off the upright: it then bounces as off a plane tilted towards it. */
const GIVE_DEG = 15.4;
const GIVE_SPEED = 18.6;
const GIVE_ANGLE_DEG = 44.4;
const COS_GIVE = Math.cos((GIVE_ANGLE_DEG * Math.PI) / 180);

/** How much of its speed into the turf a ball keeps, at so many m/s. */
const restitution = (v: number) => (v <= 20 ? 0.51 - 0.0375 * v + 0.000903 * v * v : 0.12);

/** A ball's speed along the ground and off it in m/s, and its backspin in rad/s. */
export type Moving = { along: number; up: number; spin: number };

/**
 * A ball bounces off turf, which gives way: it grips and rolls off, or slides.
 * Source: A. R. Penner, "The run of a golf ball", Can. J. Phys. 80 (2002). His give of the turf is measured on balls that come down steeply;
 * shallow ones dig in less, by the square of how far they come down against his, or they would never settle.
 * @param ball coming down: `up` is negative
 */
export function bounce(ball: Moving, { bounce: liveliness, give }: Pick<Patch, 'bounce' | 'give'>): Moving {
  const speed = Math.hypot(ball.along, ball.up);
  const down = -ball.up;
  if (speed < 1e-9 || down <= 0) return ball;
  const offUpright = (Math.acos(Math.min(1, down / speed)) * 180) / Math.PI;
  const shallow = Math.min(1, down / speed / COS_GIVE) ** 2;
  const tiltDeg = GIVE_DEG * (speed / GIVE_SPEED) * (offUpright / GIVE_ANGLE_DEG) * shallow * give;
  // A ball that comes back is met by turf that tilts the other way.
  const tilt = ((Math.sign(ball.along) || 1) * Math.min(tiltDeg, 60) * Math.PI) / 180;
  const [cos, sin] = [Math.cos(tilt), Math.sin(tilt)];
  const along = ball.along * cos - down * sin;
  const into = ball.along * sin + down * cos;
  const e = Math.max(0, Math.min(1, restitution(into) * liveliness));
  const up = e * into;
  const slip = along + BALL_R * ball.spin;
  const needed = (2 * Math.abs(slip)) / (7 * (1 + e) * into);
  let [off, spin] = [along, ball.spin];
  if (needed > TURF_GRIP) {
    const pull = Math.sign(slip) * TURF_GRIP * into * (1 + e);
    off = along - pull;
    spin = ball.spin - (5 * pull) / (2 * BALL_R);
  } else {
    off = (5 / 7) * along - (2 / 7) * BALL_R * ball.spin;
    spin = -off / BALL_R;
  }
  return { along: off * cos - up * sin, up: off * sin + up * cos, spin };
}
