import type { PuttingSkill } from '../golf/putting';

/**
 * What the model takes a player to be: δ, by how much farther than the level their balls stop, a cell off the green each
 * (`delta`), and the rest, one vector (`rest`), all as logarithms against the level. Each place of the rest is named here.
 */
export type Parameters = { delta: Float64Array; rest: Float64Array };

/** How widely balls spread about their middle. */
export const SPREAD = 0;
/** The spread of direction of putts: the part that all share; after it one a band. */
export const ANGLE = 1;
/** The same of their length. */
export const lengthAt = (bands: number) => ANGLE + 1 + bands;
/** How far from where it should a ball lands. */
export const landingAt = (bands: number) => lengthAt(bands) + 1 + bands;
/** How many there are. */
export const restSize = ({ bands }: { bands: number }) => landingAt(bands) + 1;

/** A player as the level is. */
export function asTheLevel({ offGreen, bands }: { offGreen: number; bands: number }): Parameters {
  return { delta: new Float64Array(offGreen), rest: new Float64Array(restSize({ bands })) };
}

/** The shared part at `from` and those of the bands after it, each as far as a putt lies in its band. */
function over(rest: Float64Array, from: number, inBands: Float64Array): number {
  let sum = rest[from]!;
  for (let b = 0; b < inBands.length; b++) sum += inBands[b]! * rest[from + 1 + b]!;
  return sum;
}

type Level = { putting: PuttingSkill; bands: number };

/**
 * How somebody putts from one distance.
 * @param inBands where it lies among the bands (`Prior.bandsAt`)
 */
export function puttingOf({ putting, bands }: Level, rest: Float64Array, inBands: Float64Array): PuttingSkill {
  return {
    angle: putting.angle * Math.exp(over(rest, ANGLE, inBands)),
    distance: putting.distance * Math.exp(over(rest, lengthAt(bands), inBands)),
  };
}

/** How somebody putts over all distances: the part that all bands share. */
export function commonPutting({ putting, bands }: Level, rest: Float64Array): PuttingSkill {
  return { angle: putting.angle * Math.exp(rest[ANGLE]!), distance: putting.distance * Math.exp(rest[lengthAt(bands)]!) };
}

/** Adds what follows from the two spreads at one distance to a vector over the rest. */
export function addPutting(bands: number, inBands: Float64Array, byAngle: number, byLength: number, into: Float64Array): void {
  const length = lengthAt(bands);
  into[ANGLE]! += byAngle;
  into[length]! += byLength;
  for (let b = 0; b < bands; b++) {
    into[ANGLE + 1 + b]! += inBands[b]! * byAngle;
    into[length + 1 + b]! += inBands[b]! * byLength;
  }
}
