import { median } from '../math/median';
import { shotsOver, type Strike } from '../physics/shot';
import { lands, solveShot } from '../physics/solve';
import type { CarriedShot } from './carried';
import type { SwingChart } from './swing-chart';

/** What makes a shot play longer or shorter than it is: wind along the line in m/s (positive helps), height of the target above the ball in metres. */
export type PlaysAs = { windMs: number; riseM: number };

/**
 * The carry that a calm and level shot would need to be struck as hard: what a carry plays as.
 * @returns metres; null where no swing carries so far
 */
export function playsAs(carryM: number, { windMs, riseM }: PlaysAs, strike: Omit<Strike, 'wind'>): number | null {
  if (windMs === 0 && riseM === 0) return carryM;
  // The ground rises evenly to the target; how it goes on behind it does not matter to where a ball lands.
  const over = shotsOver({ stretches: [{ toM: Infinity, surface: 'green', slope: riseM / carryM }], stimpFt: 9, firmness: 'medium' });
  const there = solveShot(over, { ...strike, wind: windMs }, carryM, lands);
  if (there.answer !== 'found') return null;
  const level = shotsOver({ stretches: [{ toM: Infinity, surface: 'green', slope: 0 }], stimpFt: 9, firmness: 'medium' });
  return level(there.headSpeed, strike).carryM;
}

/** How balls come out against what they were played for: as a share, of so many balls. */
export type Bias = { share: number; balls: number };

/** Fewer than this say nothing. */
const LEAST_BALLS = 4;
const PRIOR_BALLS = 4;

/** The median of logarithms, drawn to none as by four balls; null of too few. */
function biasFrom(logs: readonly number[]): Bias | null {
  if (logs.length < LEAST_BALLS) return null;
  return { share: Math.exp((logs.length / (logs.length + PRIOR_BALLS)) * median(logs)), balls: logs.length };
}

/**
 * By how much a player's balls come up short or long of the distance they were played for: "you play 47 as 41" is 41/47. It says something of
 * what a player believes; a chart of what balls really carry has it in already.
 */
export function biasOf(shots: readonly Pick<CarriedShot, 'intendedM' | 'carryM'>[]): Bias | null {
  return biasFrom(
    shots.flatMap(({ intendedM, carryM }) => (intendedM !== null && intendedM > 1 && carryM > 1 ? [Math.log(carryM / intendedM)] : [])),
  );
}

/**
 * By how much the balls of a day come out short or long of the player's own chart.
 * @param shots of that day
 */
export function biasOfDay(shots: readonly CarriedShot[], { cells }: SwingChart): Bias | null {
  return biasFrom(
    shots.flatMap(({ clubLabel, swingMark, carryM }) => {
      const cell = cells.find((one) => one.club === clubLabel && one.mark.toLowerCase() === swingMark?.trim().toLowerCase());
      return cell && carryM > 1 ? [Math.log(carryM / cell.carryM)] : [];
    }),
  );
}

/** On which side a miss costs less. */
export type SafeSide = 'short' | 'long' | null;

/**
 * What to play a carry for: as it plays today, made good for how balls come out today, and on the side where a miss costs less.
 * @param share of the chart's carry that balls come to today
 * @param giveM by how much single balls miss, 8 in 10; half of that is given to the safe side
 */
export function playFor(carryM: number, { share, safe, giveM }: { share: number; safe: SafeSide; giveM: number }): number {
  const aside = safe === null ? 0 : (safe === 'long' ? 1 : -1) * (giveM / 2);
  return (carryM + aside) / share;
}
