import type { ShotResult, Strike } from './shot';

/** Plays a shot at a speed of the club's head, in m/s. */
export type Play = (headSpeed: number, strike: Strike) => ShotResult;

/**
 * The shot that stops where it should; or why there is none: on this slope no ball stops; a hair more speed carries it past an edge, so that nobody
 * could choose the spot; or no swing is long enough.
 */
export type Solved =
  { answer: 'found'; headSpeed: number; shot: ShotResult } | { answer: 'will_not_stop' | 'no_reliable_spot' | 'too_far' };

/** The slowest and the fastest swing that is looked at, in m/s: a short putt's, and a full one's with a wedge. */
const SLOWEST = 0.8;
const FASTEST = 32;
/** As near as this is there, in metres; and speeds nearer to each other than this are the same. */
const NEAR_M = 0.005;
const SAME_SPEED = 1e-4;
/** Where a hair more speed moves it by no more than this, that is no jump: a last small hop that becomes a roll. */
const JUMP_M = 0.4;
/** A ball that never stops, as a distance. */
const FOR_EVER_M = 1000;

/** Where a shot comes to, in metres along the line. */
export type Reaches = (shot: ShotResult) => number | null;

/**
 * The speed of the head with which a shot comes to `targetM`, by false position with the Illinois step (M. Dowell and P. Jarratt, BIT 11, 1971).
 * @param reaches what of the shot is to be there; null: it never stops
 */
export function solveShot(play: Play, strike: Strike, targetM: number, reaches: Reaches): Solved {
  const missOf = (shot: ShotResult) => Math.min(FOR_EVER_M, reaches(shot) ?? FOR_EVER_M) - targetM;
  let [low, high] = [SLOWEST, SLOWEST];
  let lowMiss = missOf(play(low, strike));
  if (lowMiss >= FOR_EVER_M / 2) return { answer: 'will_not_stop' };
  if (lowMiss > NEAR_M) return { answer: 'no_reliable_spot' };
  let highMiss = lowMiss;
  // Outwards until it is far enough: the first such speed, where backspin makes several.
  while (highMiss < 0) {
    if (high >= FASTEST) return { answer: 'too_far' };
    [low, lowMiss] = [high, highMiss];
    high = Math.min(FASTEST, high * 1.25);
    highMiss = missOf(play(high, strike));
  }
  let kept = 0;
  let [lowWeight, highWeight] = [lowMiss, highMiss];
  for (let n = 0; n < 80; n++) {
    // A ball that never stops is no distance that a line could be drawn to: the middle instead.
    const straight = highMiss >= FOR_EVER_M / 2 ? (low + high) / 2 : high - (highWeight * (high - low)) / (highWeight - lowWeight);
    const speed =
      Math.abs(straight - low) < SAME_SPEED / 4 || Math.abs(high - straight) < SAME_SPEED / 4 || n > 30 ? (low + high) / 2 : straight;
    const shot = play(speed, strike);
    const miss = missOf(shot);
    if (Math.abs(miss) <= NEAR_M) return { answer: 'found', headSpeed: speed, shot };
    if (miss < 0) {
      [low, lowMiss, lowWeight] = [speed, miss, miss];
      if (kept === -1) highWeight /= 2;
      else highWeight = highMiss;
      kept = -1;
    } else {
      [high, highMiss, highWeight] = [speed, miss, miss];
      if (kept === 1) lowWeight /= 2;
      else lowWeight = lowMiss;
      kept = 1;
    }
    if (high - low < SAME_SPEED) {
      if (highMiss - lowMiss <= JUMP_M) return { answer: 'found', headSpeed: speed, shot };
      return { answer: highMiss >= FOR_EVER_M / 2 ? 'will_not_stop' : 'no_reliable_spot' };
    }
  }
  return { answer: 'no_reliable_spot' };
}

/** Where a shot stops, its run lengthened or shortened as somebody's balls are: carry + k · run. */
export const finishWith =
  (k: number): Reaches =>
  ({ carryM, finishM }) =>
    finishM === null ? null : carryM + k * (finishM - carryM);

/** How far a side slope takes a shot to the right, its run lengthened or shortened in the same way. */
export const asideWith =
  (k: number) =>
  ({ asideM }: ShotResult): number =>
    k * asideM;

/** Where a shot lands. */
export const lands: Reaches = ({ carryM }) => carryM;
