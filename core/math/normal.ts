/**
 * Standard normal distribution function, absolute error below 1e-14.
 * Source: W. J. Cody's rational approximations in the arrangement of G. West, "Better approximations to cumulative
 * normal functions", Wilmott Magazine, May 2005.
 * @param z any number; ±Infinity give 1 and 0
 */
export function normalCdf(z: number): number {
  const x = Math.abs(z);
  if (x > 37) return z > 0 ? 1 : 0;
  const e = Math.exp((-x * x) / 2);
  let tail: number;
  if (x < 7.07106781186547) {
    let top = 3.52624965998911e-2 * x + 0.700383064443688;
    for (const c of [6.37396220353165, 33.912866078383, 112.079291497871, 221.213596169931, 220.206867912376]) top = top * x + c;
    let bottom = 8.83883476483184e-2 * x + 1.75566716318264;
    for (const c of [16.064177579207, 86.7807322029461, 296.564248779674, 637.333633378831, 793.826512519948, 440.413735824752])
      bottom = bottom * x + c;
    tail = (e * top) / bottom;
  } else {
    let fraction = x + 0.65;
    for (const k of [4, 3, 2, 1]) fraction = x + k / fraction;
    tail = e / (fraction * 2.506628274631);
  }
  return z > 0 ? 1 - tail : tail;
}

/**
 * Inverse of the standard normal distribution function, by Newton steps on {@link normalCdf} from a logistic start.
 * @param p strictly between 0 and 1
 * @throws RangeError outside
 */
export function normalQuantile(p: number): number {
  if (!(p > 0 && p < 1)) throw new RangeError(`a probability strictly between 0 and 1 was needed, not ${p}`);
  if (p > 0.5) return -normalQuantile(1 - p);
  // Start from the tail expansion; Newton on ln Φ converges monotonically there.
  let z = p < 0.02 ? -Math.sqrt(-2 * Math.log(p * 2)) : Math.log(p / (1 - p)) / 1.702;
  for (let i = 0; i < 60; i++) {
    const cdf = normalCdf(z);
    const density = Math.exp((-z * z) / 2) / Math.sqrt(2 * Math.PI);
    const step = ((Math.log(cdf) - Math.log(p)) * cdf) / density;
    z -= step;
    if (Math.abs(step) < 1e-13) break;
  }
  return z;
}
