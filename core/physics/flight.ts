import { BALL_R, GRAVITY, PER_COEFFICIENT } from './ball';

/** A ball in the air, in the upright plane of its line: metres along and up, m/s, backspin in rad/s (which it keeps). */
export type InAir = { x: number; z: number; vx: number; vz: number; spin: number };

/** A step of the integration, in seconds: within 1 mm at the end of what finer steps give. */
export const STEP_S = 0.02;
/** Longer no ball of the short game flies, in seconds. */
const LONGEST_S = 12;

/** Drag and lift by the spin ratio S, the speed of the ball's surface over its own. Fitted to published wind-tunnel values by eye. */
const drag = (s: number) => 0.28 + 0.18 * s;
const lift = (s: number) => 0.48 * s ** 0.4;

/** Where a ball came down, and how high it was on the way. */
export type Landed = InAir & { apexM: number };

/**
 * Flies a ball until it comes down on the ground: gravity, drag and lift (Magnus), by the classical Runge-Kutta method; the last step
 * ends on the ground.
 * @param from where it leaves; not under the ground
 * @param groundAt the height of the ground at a distance along the line, in metres
 * @param wind along the line, in m/s; positive helps
 * @param stepS of the integration, in seconds
 * @param pass is told of every place on the way
 */
export function fly(from: InAir, groundAt: (x: number) => number, wind = 0, stepS = STEP_S, pass?: (x: number, z: number) => void): Landed {
  const { spin } = from;
  let { x, z, vx, vz } = from;
  let apexM = z;
  const a: [number, number] = [0, 0];
  const accelerate = (ux: number, uz: number) => {
    const rx = ux - wind;
    const v = Math.hypot(rx, uz) || 1e-9;
    const s = (BALL_R * spin) / v;
    const d = PER_COEFFICIENT * v * drag(Math.min(s, 1.5));
    const l = spin > 0 ? PER_COEFFICIENT * v * lift(Math.min(s, 1.5)) : 0;
    a[0] = -d * rx - l * uz;
    a[1] = -GRAVITY - d * uz + l * rx;
  };
  for (let t = 0; t < LONGEST_S; t += stepS) {
    const [x0, z0, vx0, vz0] = [x, z, vx, vz];
    accelerate(vx0, vz0);
    const [ax1, az1] = a;
    accelerate(vx0 + (ax1 * stepS) / 2, vz0 + (az1 * stepS) / 2);
    const [ax2, az2] = a;
    accelerate(vx0 + (ax2 * stepS) / 2, vz0 + (az2 * stepS) / 2);
    const [ax3, az3] = a;
    accelerate(vx0 + ax3 * stepS, vz0 + az3 * stepS);
    const [ax4, az4] = a;
    x = x0 + vx0 * stepS + ((ax1 + ax2 + ax3) * stepS ** 2) / 6;
    z = z0 + vz0 * stepS + ((az1 + az2 + az3) * stepS ** 2) / 6;
    vx = vx0 + ((ax1 + 2 * ax2 + 2 * ax3 + ax4) * stepS) / 6;
    vz = vz0 + ((az1 + 2 * az2 + 2 * az3 + az4) * stepS) / 6;
    // The top of the step's arc, where it lies within it.
    if (vz0 > 0 && vz <= 0) apexM = Math.max(apexM, z0 + vz0 ** 2 / (2 * Math.max(1e-9, (vz0 - vz) / stepS)));
    apexM = Math.max(apexM, z);
    pass?.(x, Math.max(z, groundAt(x)));
    const under = z - groundAt(x);
    if (under <= 0) {
      const over = z0 - groundAt(x0);
      const part = over <= 0 ? 0 : over / (over - under);
      return {
        x: x0 + part * (x - x0),
        z: groundAt(x0 + part * (x - x0)),
        vx: vx0 + part * (vx - vx0),
        vz: vz0 + part * (vz - vz0),
        spin,
        apexM,
      };
    }
  }
  return { x, z, vx, vz, spin, apexM };
}
