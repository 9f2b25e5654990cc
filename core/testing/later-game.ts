import type { BallSource } from '../play/compile';
import { phasesOf } from '../game/phases';
import { schemeOf } from '../game/scoring';
import type { KernelBall } from '../game/scoring/kernel';
import type { GameSpec } from '../game/spec';
import { onGoodSide } from '../play/verdict';
import type { Random } from '../math/random';
import { offGreenChance } from '../skill/trouble';
import type { Reference } from '../golf/reference';
import { simulateShot, type PlayerTruth } from '../made-up/simulate';

/**
 * Balls of a made-up player in a later game, hit as they really hit them (`simulateShot`), which is not how the model
 * thinks they do.
 * @param day the form of the day
 */
export function reallyHits(truth: PlayerTruth, game: GameSpec, day: number, reference: Reference, random: Random): BallSource {
  const { scoring, rules, stations } = phasesOf(game).at(-1)!;
  const finishes = schemeOf(scoring).sees(scoring).includes('strokes');
  return {
    hit(at, ball: KernelBall) {
      const { holed, leftM, bearingDeg } = simulateShot(truth, stations[at]!, day, reference, random);
      ball.holed = holed;
      ball.leftM = leftM;
      ball.goodSide = onGoodSide({ holed, bearingDeg }, rules.goodSide)!;
      ball.onGreen = stations[at]!.shotType === 'putt' || random.uniform() >= offGreenChance(leftM);
      if (!finishes) return;
      ball.strokes = 1;
      for (let from = holed ? 0 : leftM; from > 0 && ball.strokes < 12; ball.strokes++) {
        const putt = simulateShot(truth, { shotType: 'putt', surface: 'green', distanceM: Math.max(0.06, from) }, day, reference, random);
        from = putt.holed ? 0 : putt.leftM;
      }
    },
  };
}
