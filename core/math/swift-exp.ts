/** e^x in the middle of each of so many steps for one, from −END to END. */
const STEPS_PER_ONE = 128;
const END = 6;
const MIDDLES = Float64Array.from({ length: 2 * END * STEPS_PER_ONE }, (_, i) => Math.exp((i + 0.5) / STEPS_PER_ONE - END));

/** e^x for simulations, which ask for it by the million: from the middle of its step along the tangent, within 1e-5 of it as a share. */
export function swiftExp(x: number): number {
  const place = (x + END) * STEPS_PER_ONE;
  const step = place | 0;
  if (!(place > 0 && step < MIDDLES.length)) return Math.exp(x);
  return MIDDLES[step]! * (1 - 0.5 / STEPS_PER_ONE + (place - step) / STEPS_PER_ONE);
}
