import { blankBall } from '../play/compile';
import { gameFor } from '../game/entrant';
import { phasesOf } from '../game/phases';
import type { GameSpec } from '../game/spec';
import { Normals } from '../math/normals';
import type { SkillModel } from '../skill/model';
import { seatOf, type ForecastPlayer } from './games';
import { FORM_SD } from './shooter';

/** A station's par, and the chance of it or better. */
export type SuggestedPar = { par: number; chance: number };

const MOST_PAR = 6;

/**
 * For each station the par that is met, or beaten, about as often as wanted: of the whole figures from 1 to 6 the one
 * whose chance comes nearest.
 * @param game one that is holed out
 * @param balls at each station
 */
export function parsFor(
  game: GameSpec,
  player: ForecastPlayer,
  model: SkillModel,
  wanted: number,
  { balls, seed }: { balls: number; seed: number },
): SuggestedPar[] {
  const random = new Normals(seed);
  const { stations } = phasesOf(gameFor(game, player.entrant)).at(-1)!;
  const { shooter, be } = seatOf(game, player, model, 0, balls, random);
  const ball = blankBall();
  const within = stations.map(() => new Float64Array(MOST_PAR + 1));
  for (let n = 0; n < balls; n++) {
    be(n);
    shooter.day(FORM_SD * random.normal());
    for (let at = 0; at < stations.length; at++) {
      shooter.hit(at, ball);
      for (let par = ball.strokes; par <= MOST_PAR; par++) within[at]![par]! += 1 / balls;
    }
  }
  return within.map((chances) => {
    let best = 1;
    for (let par = 2; par <= MOST_PAR; par++) if (Math.abs(chances[par]! - wanted) < Math.abs(chances[best]! - wanted)) best = par;
    return { par: best, chance: chances[best]! };
  });
}
