import { median } from '../math/median';
import type { Play } from '../physics/solve';
import { lands, solveShot } from '../physics/solve';
import type { Strike } from '../physics/shot';

/** A ball of which is known where it landed and where it stopped, in metres along its line. */
export type LandedBall = { carryM: number; finishM: number };

/** So many balls the model itself counts for. */
const PRIOR_BALLS = 3;
const [LEAST, MOST] = [0.4, 2.5];
/** Shorter runs than this say nothing that a tape could have measured, in metres. */
const LEAST_RUN_M = 0.3;
/** By how much single balls run farther or less far, as a standard deviation of the logarithm. A judgement. */
const BALL_SD = 0.3;

/** How much farther somebody's balls run than the model has it, of so many balls; and between which it lies, 8 times in 10. */
export type RunFactor = { k: number; balls: number; from: number; to: number };

/**
 * k of finish = carry + k · run: the median of the logarithms of recorded over modelled run, drawn to the model as by three balls of its own.
 * @param over plays each ball's shot: its line of ground, and how it was struck
 */
export function runFactor(balls: readonly (LandedBall & { play: Play; strike: Strike })[]): RunFactor {
  const logs = balls.flatMap(({ carryM, finishM, play, strike }) => {
    const modelled = solveShot(play, strike, carryM, lands);
    if (modelled.answer !== 'found' || modelled.shot.finishM === null) return [];
    const [run, recorded] = [modelled.shot.finishM - modelled.shot.carryM, finishM - carryM];
    return run < LEAST_RUN_M || recorded < LEAST_RUN_M / 3 ? [] : [Math.log(recorded / run)];
  });
  const n = logs.length;
  const centre = n === 0 ? 0 : (n / (n + PRIOR_BALLS)) * median(logs);
  const clamp = (log: number) => Math.min(MOST, Math.max(LEAST, Math.exp(log)));
  // The spread of the balls themselves, where there are enough to see it; of the median π/2 times that of the mean.
  const own =
    n < 2
      ? BALL_SD
      : Math.sqrt((logs.reduce((sum, log) => sum + (log - median(logs)) ** 2, 0) + PRIOR_BALLS * BALL_SD ** 2) / (n - 1 + PRIOR_BALLS));
  const half = 1.2816 * own * Math.sqrt(Math.PI / 2 / (n + PRIOR_BALLS));
  return { k: clamp(centre), balls: n, from: clamp(centre - half), to: clamp(centre + half) };
}

/** Fewer balls than this are too few to show a factor of: it is used, and its range is wide. */
export const ENOUGH_TO_SHOW = 10;
