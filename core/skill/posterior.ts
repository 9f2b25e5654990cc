import { solveUpper } from '../math/linear';
import type { Random } from '../math/random';
import { parametersOf, type Fit } from './fit';

/** Players that the evidence allows: draws from what is believed after it. */
export type Draw = { delta: Float64Array; rest: Float64Array };

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
