/**
 * Student's t distribution function for whole degrees of freedom, in closed form.
 * Source: M. Abramowitz and I. Stegun, "Handbook of Mathematical Functions" (1964), 26.7.3 and 26.7.4.
 * @param df a whole number from 1 up
 * @throws RangeError for other degrees of freedom
 */
export function studentCdf(t: number, df: number): number {
  if (!Number.isInteger(df) || df < 1) throw new RangeError(`whole degrees of freedom from 1 up were needed, not ${df}`);
  const theta = Math.atan(t / Math.sqrt(df));
  const [sin, cos] = [Math.sin(theta), Math.cos(theta)];
  // Twice the chance of lying between 0 and t, minus that of its mirror: A(t|df).
  let sum = 0;
  let term = df % 2 === 1 ? cos : 1;
  for (let k = df % 2 === 1 ? 1 : 0; k <= df - 2; k += 2) {
    sum += term;
    term *= ((k + 1) / (k + 2)) * cos * cos;
  }
  const area = df % 2 === 1 ? (2 / Math.PI) * (theta + (df === 1 ? 0 : sin * sum)) : sin * sum;
  return (1 + area) / 2;
}
