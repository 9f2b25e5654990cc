import type { Route } from '../../golf/words';
import type { Shot } from '../../shot/shot';

/** What a ball was, as a scheme sees it. */
export type ScoredBall = Pick<
  Shot,
  'holed' | 'leftM' | 'leftMinM' | 'leftMaxM' | 'bearingDeg' | 'strokes' | 'penalty' | 'finish' | 'landed' | 'executed' | 'clubLabel'
> &
  Partial<Pick<Shot, 'nearer'>>;

/** What is asked of one ball beyond its station. */
export type ShotAsked = Partial<Pick<Shot, 'trajectory' | 'shape' | 'swingWidth'>> & { club?: string; route?: Route };

/** What a player says of a ball; what is not said is not known. */
export type Result = Pick<Shot, 'holed' | 'leftM' | 'leftMinM' | 'leftMaxM' | 'bearingDeg' | 'measured'> &
  Partial<Pick<Shot, 'strokes' | 'landed' | 'executed' | 'called' | 'nearer' | 'swingWidth' | 'nBalls' | 'sumLeftM' | keyof Details>>;

/** What can be marked on any ball beside its result: all of it optional. */
export type Details = Partial<
  Pick<
    Shot,
    | 'surface'
    | 'sit'
    | 'stance'
    | 'trajectory'
    | 'shape'
    | 'clubId'
    | 'clubLabel'
    | 'swingMark'
    | 'intendedM'
    | 'landingErrorM'
    | 'landedSide'
    | 'mishit'
    | 'bearingDeg'
    | 'finish'
    | 'penalty'
    | 'counts'
    | 'note'
    | 'wind'
    | 'leftM'
    | 'measured'
  >
>;

/** A result as a scheme sees it: what was not said is not known. */
export function ballOf(result: Result): ScoredBall {
  return { strokes: null, penalty: 0, finish: null, landed: null, executed: null, clubLabel: null, ...result };
}

/** A result of which nothing is known yet. */
export const UNKNOWN: Result = { holed: false, leftM: null, leftMinM: null, leftMaxM: null, bearingDeg: null, measured: 'ring' };

/** What is left of a ball where nobody measures beyond some distance, in metres: a farther one counts as that far. */
export function cappedM(ball: ScoredBall, capM: number): number {
  return Math.min(farM(ball), capM);
}

/** The farthest a ball may lie from the hole by what is known of it, in metres: a doubt never earns anything. */
export function farM(ball: ScoredBall): number {
  return ball.holed ? 0 : (ball.leftM ?? ball.leftMaxM ?? Infinity);
}

/** Whether a ball is inside a zone round the hole, its edge included; a zone of radius 0 is the hole itself. */
export function inside(ball: ScoredBall, radiusM: number): boolean {
  return ball.holed || (radiusM > 0 && farM(ball) <= radiusM);
}
