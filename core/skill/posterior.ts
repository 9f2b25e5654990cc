import { solveUpper } from '../math/linear';
import type { Random } from '../math/random';
import { parametersOf, type Fit } from './fit';
import { restSize, type Parameters } from './parameters';
import type { Prior } from './prior';

/** Players that the evidence allows: draws from what is believed after it. */
export type Draw = Parameters;

/** So many draws, shared out over the prior scales by their weights. */
export function drawsOf(fitted: Fit, count: number, random: Random): Draw[] {
  const draws: Draw[] = [];
  const { prior, order, modes } = fitted;
  let owed = 0;
  for (const { scale, z, factor, weight } of modes) {
    owed += weight * count;
    while (draws.length < Math.round(owed)) {
      const step = solveUpper(
        factor,
        z.length,
        z.map(() => random.normal()),
      );
      const others = new Float64Array(prior.offGreen - order.used).map(() => random.normal());
      draws.push(
        parametersOf(
          fitted,
          scale,
          z.map((value, i) => value + step[i]!),
          others,
        ),
      );
    }
    owed = Math.max(owed, draws.length - 0.5);
  }
  return draws;
}

/** Draws one after the other, each its δ and its rest, as 32-bit floats: how they are kept. */
export function packDraws(draws: readonly Draw[]): Float32Array {
  const size = draws.length === 0 ? 0 : draws[0]!.delta.length + draws[0]!.rest.length;
  const packed = new Float32Array(size * draws.length);
  draws.forEach(({ delta, rest }, i) => {
    packed.set(delta, i * size);
    packed.set(rest, i * size + delta.length);
  });
  return packed;
}

/**
 * Draws as they were kept.
 * @returns null where they are not of this model
 */
export function unpackDraws(packed: Float32Array, { offGreen, bands }: Prior): Draw[] | null {
  const size = offGreen + restSize({ bands });
  if (packed.length === 0 || packed.length % size !== 0) return null;
  return Array.from({ length: packed.length / size }, (_, i) => ({
    delta: Float64Array.from(packed.subarray(i * size, i * size + offGreen)),
    rest: Float64Array.from(packed.subarray(i * size + offGreen, (i + 1) * size)),
  }));
}
