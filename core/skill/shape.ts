/*
 * Where balls from off the green stop, of one player from one place: the shape that every kind of record is read with.
 *
 * Depth and width of a ball that came off are taken as Student's t with ten degrees of freedom, alike in all directions; then the
 * distance r from the hole is inside R with probability 1 − (1 + q·(R/m)²)^−5, m its median and q = 2^(1/5) − 1. The power 2 becomes
 * the steepness, so that players and generators may spread more or less than that. Near the hole the chance grows with the area;
 * the logarithm of the distance is skewed to the left, as that of measured balls is. A few balls end anywhere, however well
 * somebody plays: what lies far out says little about the rest.
 */

/** Half the degrees of freedom. */
const HALF = 5;
const Q = 2 ** (1 / HALF) - 1;
/** How steep the shape of a level is: the power with which the chance grows near the hole. */
export const STEEPNESS = 1.95;
/** The standard deviation of the logarithm of the distance, times the steepness: √(ψ′(1) + ψ′(5)). */
const LOG_SD = 1.366;
/** What one measured ball leaves open of the middle, as a standard deviation of its logarithm: the root of the inverse Fisher information. */
export const BALL_SD = 1 / (STEEPNESS * Math.sqrt(HALF / (HALF + 2)));

/** How many balls end anywhere, and where: as a share of the distance played. Judgements. */
export const ANYWHERE = 0.03;
const ANYWHERE_SCALE = 0.45;
const ANYWHERE_POWER = 1.05;

/** All that is judged here, for the version of the model. */
export const SHAPE_CONSTANTS = [HALF, STEEPNESS, LOG_SD, ANYWHERE, ANYWHERE_SCALE, ANYWHERE_POWER] as const;

/** The steepness of somebody who spreads e^spread times as wide as the level. */
export const steepness = (spread: number) => STEEPNESS * Math.exp(-spread);

/**
 * What a distance that was measured roughly leaves of it: the steepness is the root of this times as much, and follows the spread this
 * times as fast.
 * @param blur the standard deviation of the logarithm by which measuring errs
 */
export const blunted = (steep: number, blur: number) => (blur === 0 ? 1 : 1 / (1 + ((blur * steep) / LOG_SD) ** 2));

/** The share of balls that came off inside a distance, and its first two slopes, at z = steepness · ln(distance ÷ median). */
export type Inside = { share: number; slope: number; bend: number };

/** @param z −∞ is the hole itself, ∞ is everywhere */
export function insideAt(z: number, into: Inside = { share: 0, slope: 0, bend: 0 }): Inside {
  if (z === Infinity || z > 60) {
    into.share = 1;
    into.slope = into.bend = 0;
    return into;
  }
  const t = Q * Math.exp(z);
  const a = t / (1 + t);
  const outside = outsideOf(t);
  into.share = t < NEAR_NOTHING ? shareNearNothing(t) : 1 - outside;
  into.slope = HALF * a * outside;
  into.bend = into.slope * (1 - (HALF + 1) * a);
  return into;
}

const outsideOf = (t: number) => {
  const base = 1 / (1 + t);
  const square = base * base;
  return square * square * base;
};

/** The share of balls that came off inside a distance, at z. */
export function insideShare(z: number): number {
  return z > 60 ? 1 : shareOf(Q * Math.exp(z));
}

const shareOf = (t: number) => (t < NEAR_NOTHING ? shareNearNothing(t) : 1 - outsideOf(t));
/** Without losing what is near nothing. */
const NEAR_NOTHING = 1e-4;
const shareNearNothing = (t: number) => HALF * t * (1 - 3 * t);

/** The z inside which a share of the balls lies. */
export function zOf(share: number): number {
  return Math.log(((1 - share) ** (-1 / HALF) - 1) / Q);
}

/** Of balls that end anywhere, the share inside so many metres when they are played from so far. */
export function anywhereInside(leftM: number, distanceM: number): number {
  return leftM === Infinity ? 1 : 1 - Math.exp(-((leftM / (ANYWHERE_SCALE * distanceM)) ** ANYWHERE_POWER));
}

/** Inside how many metres a share of the balls lies that end anywhere. */
export function anywhereAt(share: number, distanceM: number): number {
  return ANYWHERE_SCALE * distanceM * (-Math.log(1 - share)) ** (1 / ANYWHERE_POWER);
}

/** Moments of what balls that came off leave, where half of them stop inside 1: the mean of its `power`. */
export function momentOf(power: number, steep: number): number {
  const a = power / steep;
  return Q ** -a * Math.exp(logGamma(1 + a) + logGamma(HALF - a) - logGamma(HALF));
}

/** Moments of what balls that end anywhere leave, as a share of the distance. */
export function anywhereMoment(power: number): number {
  return ANYWHERE_SCALE ** power * Math.exp(logGamma(1 + power / ANYWHERE_POWER));
}

/** The logarithm of the gamma function, for x > 0. Source: C. Lanczos, SIAM J. Numer. Anal. B 1 (1964); coefficients for g = 5 as usually printed. */
function logGamma(x: number): number {
  const C = [76.18009172947146, -86.50532032941677, 24.01409824083091, -1.231739572450155, 0.1208650973866179e-2, -0.5395239384953e-5];
  const tmp = x + 5.5 - (x + 0.5) * Math.log(x + 5.5);
  let series = 1.000000000190015;
  C.forEach((c, i) => (series += c / (x + 1 + i)));
  return -tmp + Math.log((2.5066282746310005 * series) / x);
}

/**
 * Of all balls, the share that lies inside: of those that came off at z, and of those that end anywhere.
 * @param anywhere the share of the latter that lies inside
 */
export const allInside = (z: number, anywhere: number) => (1 - ANYWHERE) * insideShare(z) + ANYWHERE * anywhere;

/** Inside what distance, as its logarithm, a share of all balls lies whose median, of those that came off, is e^`mu`. */
export function logAt(share: number, mu: number, distanceM: number): number {
  let [low, high] = [mu - 12, mu + 6];
  for (let step = 0; step < 50; step++) {
    const middle = (low + high) / 2;
    if (allInside(STEEPNESS * (middle - mu), anywhereInside(Math.exp(middle), distanceM)) < share) low = middle;
    else high = middle;
  }
  return low;
}

/**
 * ln of the median of the balls that came off, where half of all that were played from `distanceM` stop inside `medianM`.
 */
export function centreOf(medianM: number, distanceM: number): number {
  const share = (0.5 - ANYWHERE * anywhereInside(medianM, distanceM)) / (1 - ANYWHERE);
  return Math.log(medianM) - zOf(Math.max(0.01, share)) / STEEPNESS;
}

/** Where balls stop, for simulations, which ask by the million: the middles of so many equal parts of them, in order. */
export const STOPS = 2048;
/** Of the balls that end anywhere, as shares of the distance. */
const ANYWHERE_STOPS = Math.round(STOPS * ANYWHERE);
/** Spreads are told apart to this, as logarithms: far finer than they are known. */
const SPREAD_STEP = 0.01;
const held = new Map<number, Float32Array>();

/**
 * Where the balls of somebody stop who spreads e^spread times as wide as the level: those that end anywhere first, as shares of the
 * distance, then the others, as shares of their median.
 */
export function stopsOf(spread: number): { stops: Float32Array; anywhere: number } {
  const at = Math.round(spread / SPREAD_STEP);
  let stops = held.get(at);
  if (!stops) {
    const steep = steepness(at * SPREAD_STEP);
    const others = STOPS - ANYWHERE_STOPS;
    stops = Float32Array.from({ length: STOPS }, (_, i) =>
      i < ANYWHERE_STOPS ? anywhereAt((i + 0.5) / ANYWHERE_STOPS, 1) : Math.exp(zOf((i - ANYWHERE_STOPS + 0.5) / others) / steep),
    );
    held.set(at, stops);
  }
  return { stops, anywhere: ANYWHERE_STOPS };
}
