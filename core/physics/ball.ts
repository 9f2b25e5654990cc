/** A golf ball and what it flies through; kg, metres, seconds. The rules of golf allow at most 0.0459 kg and at least 0.0427 m across. */
export const BALL_KG = 0.0459;
export const BALL_R = 0.02135;
export const GRAVITY = 9.81;
/** Of air at 15 °C at sea level. */
const AIR = 1.225;
/** Drag and lift of a ball at 1 m/s with a coefficient of 1, as an acceleration. */
export const PER_COEFFICIENT = (AIR * Math.PI * BALL_R ** 2) / (2 * BALL_KG);
/** A rolling sphere gains this share of what gravity gives along a slope: a sphere's inertia takes the rest. */
export const ROLLING = 5 / 7;
/** How fast a ball leaves the ramp of a stimpmeter, in m/s: it then rolls the reading. */
const STIMP_SPEED = 1.83;

/** How a green of this speed slows a rolling ball, in m/s². */
export function slowing(stimpFt: number): number {
  return STIMP_SPEED ** 2 / (2 * 0.3048 * stimpFt);
}
