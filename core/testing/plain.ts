import { METRES_PER } from '../units/length';
import { makeRate, referencePutting } from '../golf/putting';
import { shippedReference as reference } from '../golf/reference';
import type { Level, Struck } from './carry-and-run';

/** A level of the shipped reference, as the second generator takes it. */
export function levelOf(handicap: number): Level {
  const putting = referencePutting(handicap);
  return {
    medianLeftM: (shotType, surface, distanceM) => reference.shot(handicap, shotType, surface, distanceM)!.medianLeftFt * METRES_PER.ft,
    makeRate: (ft) => makeRate(putting, ft),
    pace: putting.distance,
  };
}

const nothing = () => 0;

/** Somebody of a level who has nothing of their own, as the second generator makes players up. */
export function plainPlayer(handicap: number): Struck {
  return {
    handicap,
    level: levelOf(handicap),
    carry: nothing,
    run: nothing,
    width: nothing,
    mishits: nothing,
    line: nothing,
    pace: nothing,
  };
}
