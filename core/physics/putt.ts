import { GRAVITY, ROLLING, slowing } from './ball';

/** A place on the green seen from the ball: metres to the right, and towards the hole. */
export type Spot = readonly [right: number, ahead: number];
/** How a green lies where a ball rolls: the rise for each metre to the right and for each metre ahead, and the speed of the green in feet. */
export type PuttGround = { slopeAt: (at: Spot) => Spot; stimpFt: number };

/** A level green, or one that falls evenly. */
export const evenGreen = (stimpFt: number, rightUp = 0, ahead = 0): PuttGround => ({ stimpFt, slopeAt: () => [rightUp, ahead] });

/** The radius of a hole: 4¼ in across. */
export const HOLE_R = 0.053975;
/** How fast a ball may be that rolls over the middle of the hole and still drops, in m/s. */
export const CAPTURE_SPEED = 1.63;

/**
 * Whether a hole takes a ball that passes so far from its middle.
 * Source: B. W. Holmes, "Putting: How a golf ball and hole interact", Am. J. Phys. 59 (1991).
 */
export function captures(speed: number, offM: number): boolean {
  return Math.abs(offM) < HOLE_R && speed <= CAPTURE_SPEED * (1 - (offM / HOLE_R) ** 2);
}

/** A step of the integration, in seconds, and longer than this no putt rolls. */
const STEP_S = 0.03;
const LONGEST_S = 40;

type Rolling = { x: number; y: number; vx: number; vy: number };

/** One step of a rolling ball by the classical Runge-Kutta method; backwards in time for a negative step. */
function step(ball: Rolling, { slopeAt, stimpFt }: PuttGround, dt: number): Rolling {
  const slows = slowing(stimpFt);
  const pull = (x: number, y: number, vx: number, vy: number): [number, number] => {
    const v = Math.hypot(vx, vy) || 1e-12;
    const [right, ahead] = slopeAt([x, y]);
    const steep = ROLLING * GRAVITY * (1 / Math.sqrt(1 + right * right + ahead * ahead));
    return [(-slows * vx) / v - steep * right, (-slows * vy) / v - steep * ahead];
  };
  const { x, y, vx, vy } = ball;
  const a1 = pull(x, y, vx, vy);
  const [v2x, v2y] = [vx + (a1[0] * dt) / 2, vy + (a1[1] * dt) / 2];
  const a2 = pull(x + (vx * dt) / 2, y + (vy * dt) / 2, v2x, v2y);
  const [v3x, v3y] = [vx + (a2[0] * dt) / 2, vy + (a2[1] * dt) / 2];
  const a3 = pull(x + (v2x * dt) / 2, y + (v2y * dt) / 2, v3x, v3y);
  const [v4x, v4y] = [vx + a3[0] * dt, vy + a3[1] * dt];
  const a4 = pull(x + v3x * dt, y + v3y * dt, v4x, v4y);
  return {
    x: x + ((vx + 2 * v2x + 2 * v3x + v4x) * dt) / 6,
    y: y + ((vy + 2 * v2y + 2 * v3y + v4y) * dt) / 6,
    vx: vx + ((a1[0] + 2 * a2[0] + 2 * a3[0] + a4[0]) * dt) / 6,
    vy: vy + ((a1[1] + 2 * a2[1] + 2 * a3[1] + a4[1]) * dt) / 6,
  };
}

/** What became of a putt: whether it dropped, where it stopped (null: it never does, or nobody wanted to know). */
export type PuttResult = { holed: boolean; stops: Spot | null };

/** A ball that is so much farther from the hole than it was does not come back to it. */
const GONE_M = 0.4;

/**
 * Rolls a putt towards a hole straight ahead.
 * @param speed off the putter, in m/s
 * @param aimRad to the right of the hole
 * @param pass is told of every place on the way; the putt is then rolled to its end, and without it only until it is by the hole
 * @param capture whether the hole takes it; without, it is rolled to where it would stop
 */
export function rollPutt(
  distanceM: number,
  speed: number,
  aimRad: number,
  ground: PuttGround,
  capture = true,
  pass?: (at: Spot) => void,
): PuttResult {
  let ball: Rolling = { x: 0, y: 0, vx: speed * Math.sin(aimRad), vy: speed * Math.cos(aimRad) };
  let nearest = Infinity;
  for (let t = 0; t < LONGEST_S; t += STEP_S) {
    const next = step(ball, ground, STEP_S);
    const [dx, dy] = [next.x - ball.x, next.y - ball.y];
    const moved = dx * dx + dy * dy;
    // Where on this step it is nearest to the hole.
    const part = moved === 0 ? 0 : Math.min(1, Math.max(0, ((0 - ball.x) * dx + (distanceM - ball.y) * dy) / moved));
    const [nx, ny] = [ball.x + part * dx, ball.y + part * dy - distanceM];
    const off = Math.hypot(nx, ny);
    nearest = Math.min(nearest, off);
    if (capture) {
      if (captures(Math.hypot(ball.vx + part * (next.vx - ball.vx), ball.vy + part * (next.vy - ball.vy)), off)) {
        pass?.([0, distanceM]);
        return { holed: true, stops: [0, distanceM] };
      }
      if (!pass && off > nearest + GONE_M) return { holed: false, stops: null };
    }
    // It stops where it would turn round within the step and the slope does not take it along.
    const slows = slowing(ground.stimpFt);
    const [right, ahead] = ground.slopeAt([next.x, next.y]);
    const turned = next.vx * ball.vx + next.vy * ball.vy <= 0 || Math.hypot(next.vx, next.vy) < slows * STEP_S * 0.5;
    if (turned && ROLLING * GRAVITY * Math.hypot(right, ahead) <= slows) {
      pass?.([next.x, next.y]);
      return { holed: false, stops: [next.x, next.y] };
    }
    ball = next;
    pass?.([ball.x, ball.y]);
  }
  return { holed: false, stops: null };
}

/** A putt's line and pace: where to aim, in radians to the right of the hole, and how fast off the putter and at the hole, in m/s. */
export type PuttLine = { aimRad: number; speed: number; holeSpeed: number };

const WIDEST_RAD = (75 * Math.PI) / 180;
const LOOK_RAD = (2.5 * Math.PI) / 180;

/**
 * The line of a putt that would stop so far past the hole if there were none, rolled backwards from the hole: of its directions into the hole the
 * one that comes from the ball.
 * @returns null where there is no reliable line: no ball stops there, or none gets there
 */
export function linePutt(distanceM: number, pastM: number, ground: PuttGround): PuttLine | null {
  const slows = slowing(ground.stimpFt);
  /** Rolls back from the hole, coming in at an angle (0: straight ahead); by how much it starts to the right of the ball, as an angle at the hole. */
  const back = (angle: number): { off: number; ball: Rolling; holeSpeed: number } | null => {
    const [right, ahead] = ground.slopeAt([0, distanceM]);
    const uphill = (right * Math.sin(angle) + ahead * Math.cos(angle)) / Math.sqrt(1 + right * right + ahead * ahead);
    const stopping = slows + ROLLING * GRAVITY * uphill;
    if (stopping <= 0.02) return null;
    const holeSpeed = Math.sqrt(2 * stopping * pastM);
    let ball: Rolling = { x: 0, y: distanceM, vx: holeSpeed * Math.sin(angle), vy: holeSpeed * Math.cos(angle) };
    for (let t = 0; t < LONGEST_S; t += STEP_S) {
      const before = ball;
      ball = step(ball, ground, -STEP_S);
      const far = Math.hypot(ball.x, ball.y - distanceM);
      if (far < distanceM) {
        // On its way back it comes no nearer: this slope turns it round.
        if (t > 0.2 && far < Math.hypot(before.x, before.y - distanceM)) return null;
        continue;
      }
      const part = (distanceM - Math.hypot(before.x, before.y - distanceM)) / (far - Math.hypot(before.x, before.y - distanceM));
      const at = (key: keyof Rolling) => before[key] + part * (ball[key] - before[key]);
      return { off: Math.atan2(at('x'), distanceM - at('y')), ball: { x: at('x'), y: at('y'), vx: at('vx'), vy: at('vy') }, holeSpeed };
    }
    return null;
  };
  // From straight in outwards to either side, the first pair between which the ball lies.
  for (let wide = 0; wide < WIDEST_RAD; wide += LOOK_RAD)
    for (const side of [1, -1]) {
      let [low, high] = [side * wide, side * (wide + LOOK_RAD)];
      const [first, second] = [back(low), back(high)];
      if (!first || !second || first.off * second.off > 0) continue;
      for (let n = 0; n < 50; n++) {
        const middle = (low + high) / 2;
        const found = back(middle);
        if (!found) return null;
        if (found.off * first.off > 0) low = middle;
        else high = middle;
        if (high === low || n === 49 || Math.abs(high - low) < 1e-7) {
          const { ball, holeSpeed } = found;
          return { aimRad: Math.atan2(ball.vx, ball.vy), speed: Math.hypot(ball.vx, ball.vy), holeSpeed };
        }
      }
    }
  return null;
}
