import { BALL_R, GRAVITY, ROLLING } from './ball';
import type { Patch } from './ground';

/** Where a rolling ball stopped, in metres along the line; null where it never does: the ground falls too steeply. */
export type Stopped = number | null;

/** The speed at which a ball that slides with backspin rolls, in m/s: friction turns it. */
export function rollingSpeed(along: number, spin: number): number {
  return (5 * along - 2 * BALL_R * spin) / 7;
}

/**
 * Rolls a ball over stretches of ground until it stops: in each it slows evenly, so that each has a closed form. Both ways: a ball
 * with enough backspin comes back.
 * @param speed along the line in m/s; negative is backwards
 * @param ends where the stretches end, in metres, the last infinite
 * @param patchAt what lies at a distance
 */
export function roll(fromM: number, speed: number, ends: readonly number[], patchAt: (x: number) => Patch): Stopped {
  let [x, v] = [fromM, speed];
  for (let step = 0; step < 60; step++) {
    const way = Math.sign(v) || 1;
    const patch = patchAt(x + way * 1e-9);
    const pull = ROLLING * GRAVITY * Math.sin(Math.atan(patch.slope));
    const slows = patch.slowing + way * pull;
    // At rest it stays, where gravity does not overcome what slows it; else it rolls away downhill.
    if (Math.abs(v) < 1e-9) {
      if (Math.abs(pull) <= patch.slowing) return x;
      v = -Math.sign(pull) * 1e-6;
      continue;
    }
    const end = way > 0 ? ends.find((one) => one > x + 1e-9)! : (ends.findLast((one) => one < x - 1e-9) ?? -Infinity);
    const stopM = slows > 0 ? (v * v) / (2 * slows) : Infinity;
    const roomM = Math.abs(end - x);
    if (stopM <= roomM) {
      if (stopM === Infinity) return null;
      x += way * stopM;
      v = 0;
    } else {
      v = way * Math.sqrt(Math.max(0, v * v - 2 * slows * roomM));
      x = end;
    }
  }
  return null;
}
