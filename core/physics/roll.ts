import { BALL_R, GRAVITY, ROLLING } from './ball';
import type { Patch } from './ground';

/** Where a rolling ball stopped, in metres along the line and to its right; null where it never does: the ground falls too steeply. */
export type Stopped = { x: number; right: number } | null;

/** The speed at which a ball that slides with backspin rolls, in m/s: friction turns it. */
export function rollingSpeed(along: number, spin: number): number {
  return (5 * along - 2 * BALL_R * spin) / 7;
}

/**
 * Rolls a ball over stretches of ground until it stops: in each it slows evenly, so that each has a closed form. Both ways: a ball
 * with enough backspin comes back. A side slope bends its way a little: so little that it does not slow it.
 * @param speed along the line in m/s; negative is backwards
 * @param aside to the right of the line where the ball is, in metres, and its speed that way in m/s
 * @param ends where the stretches end, in metres, the last infinite
 * @param patchAt what lies at a distance
 */
export function roll(
  fromM: number,
  speed: number,
  ends: readonly number[],
  patchAt: (x: number) => Patch,
  aside: { right: number; speed: number } = { right: 0, speed: 0 },
): Stopped {
  let [x, v, right] = [fromM, speed, aside.right];
  // How much to the right it goes for each metre along.
  let bend = Math.abs(speed) < 1e-9 ? 0 : aside.speed / Math.abs(speed);
  for (let step = 0; step < 60; step++) {
    const way = Math.sign(v) || 1;
    const patch = patchAt(x + way * 1e-9);
    const pull = ROLLING * GRAVITY * Math.sin(Math.atan(patch.slope));
    const slows = patch.slowing + way * pull;
    // At rest it stays, where gravity does not overcome what slows it; else it rolls away downhill.
    if (Math.abs(v) < 1e-9) {
      if (Math.abs(pull) <= patch.slowing) return { x, right };
      v = -Math.sign(pull) * 1e-6;
      continue;
    }
    const end = way > 0 ? ends.find((one) => one > x + 1e-9)! : (ends.findLast((one) => one < x - 1e-9) ?? -Infinity);
    const stopM = slows > 0 ? (v * v) / (2 * slows) : Infinity;
    const roomM = Math.abs(end - x);
    if (stopM <= roomM) {
      if (stopM === Infinity) return null;
      right += bent(Math.abs(v), 0, slows, patch, bend).right;
      x += way * stopM;
      [v, bend] = [0, 0];
    } else {
      const next = Math.sqrt(Math.max(0, v * v - 2 * slows * roomM));
      const curve = bent(Math.abs(v), next, slows, patch, bend);
      [right, bend] = [right + curve.right, curve.bend];
      v = way * next;
      x = end;
    }
  }
  return null;
}

/**
 * How a ball that slows evenly from one speed to another is bent by a side slope: the bend u obeys du/dv = −(G + s₁·u) / (s·v) with G the pull
 * to the side, s all that slows it and s₁ the slope's part of that; to the right it moves by ∫ u·v/s dv.
 * @param slows in m/s², negative where it gets faster
 */
function bent(from: number, to: number, slows: number, { side, slowing }: Patch, bend: number): { right: number; bend: number } {
  if ((side === 0 && bend === 0) || slowing === Infinity) return { right: 0, bend: 0 };
  const rate = Math.abs(slows) < 1e-9 ? 1e-9 : slows;
  const pull = (-ROLLING * GRAVITY * side) / Math.sqrt(1 + side * side);
  const far = to <= 0 ? Infinity : Math.log(from / to);
  const part = (rate - slowing) / rate;
  // What grows as e^(part·ℓ) is taken twice where the slope along is next to nothing: the limit is the same.
  const q = Math.abs(part) < 1e-6 ? 1e-6 : part;
  const area = (c: number) => (far === Infinity ? 1 / c : Math.abs(c) < 1e-9 ? far : -Math.expm1(-c * far) / c);
  const right = (from * from * (bend * area(2 - q) + ((pull / rate) * (area(2 - q) - area(2))) / q)) / rate;
  return { right, bend: far === Infinity ? 0 : bend * Math.exp(q * far) + ((pull / rate) * Math.expm1(q * far)) / q };
}
