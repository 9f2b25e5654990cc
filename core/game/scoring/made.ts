import { toMetres, type UnitSystem } from '../../units/length';
import { landingZone } from './landing-zone';
import { ladder } from './ladder';
import { nearestWins } from './nearest-wins';
import { streak } from './streak';
import { totalLeft } from './total-left';
import { unscored } from './unscored';
import type { Scoring } from '.';

/** Ways of scoring for games that are made to order. Whoever makes the game sizes the zones. */

/** So many rings, a point less each farther out; holed is worth two more than the first. */
export function ringsOf(rings: number, system: UnitSystem): Scoring {
  const step = system === 'metric' ? toMetres(1, 'm') : toMetres(3, 'ft');
  return {
    scheme: 'ring_points',
    holedPoints: rings + 2,
    rings: Array.from({ length: rings }, (_, i) => ({ key: `r${i + 1}`, radiusM: step * (i + 1), points: rings - i })),
  };
}

/** Every distance left is measured and added up. */
export const addedUp = (system: UnitSystem): Scoring => totalLeft.fresh(system);

/** Each ball is to land in a circle. */
export const landingIn = (system: UnitSystem): Scoring => landingZone.fresh(system);

/** The longest run of holed balls, whatever the number of balls. */
export const longestRun = (system: UnitSystem): Scoring => ({ ...streak.fresh(system), radiusM: 0, until: null, counts: 'run' });

/** A success climbs to the next place; over at the top, or after so many balls. */
export const climbOf = (system: UnitSystem, putts: boolean, mostBalls: number): Scoring => ({
  ...ladder.fresh(system, putts),
  drop: 1,
  bottom: 'floor',
  counts: 'rungs',
  mostBalls,
});

/** The nearest of each shot takes a point; all balls are played. */
export const nearestOfEach = (system: UnitSystem): Scoring => ({ ...nearestWins.fresh(system), firstTo: null });

/** Nothing is scored: balls that came in without a game. */
export const notScored = (): Scoring => unscored.fresh('imperial');
