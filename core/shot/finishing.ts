import { isPutt } from '../golf/shot-types';
import type { Shot } from './shot';

type Finished = Pick<Shot, 'strokes' | 'penalty' | 'holed' | 'leftM' | 'finish' | 'shotType' | 'counts'>;

/** The putt, or putts, with which a ball was finished. */
export type Finishing = { distanceM: number; strokes: number };

/**
 * The putting that a record of strokes holds, where it is known how far the ball was left on the green: a chip left
 * 4 ft away and finished in two holds a holed putt of 4 ft.
 * @returns null where nothing was putted, or it is not known from where: off the green, or after a penalty
 */
export function finishingPutts({ strokes, penalty, holed, leftM, finish, shotType, counts }: Finished): Finishing | null {
  if (strokes === null || leftM === null || holed || counts !== 'ordinary' || isPutt(shotType)) return null;
  if (penalty > 0 || (finish !== null && finish !== 'green')) return null;
  return strokes > 1 ? { distanceM: leftM, strokes: strokes - 1 } : null;
}

/** Balls with the putts that are inside them, as balls of their own. */
export function withFinishing(shots: readonly Shot[]): Shot[] {
  return shots.flatMap((shot) => {
    const putts = finishingPutts(shot);
    return putts ? [shot, puttOf(shot, putts)] : [shot];
  });
}

function puttOf(shot: Shot, { distanceM, strokes }: Finishing): Shot {
  const onGreen = { shotType: 'putt', surface: 'green', sit: 'clean', stance: 'flat', target: 'hole', finish: 'green' } as const;
  const nothing = { trajectory: null, shape: null, swingWidth: null, clubId: null, clubLabel: null, mishit: null, carryM: null };
  const result = { holed: strokes === 1, strokes, leftM: null, leftMinM: null, leftMaxM: null, bearingDeg: null, landed: null };
  return { ...shot, ...onGreen, ...nothing, ...result, distanceM, landingErrorM: null, intendedM: null };
}
