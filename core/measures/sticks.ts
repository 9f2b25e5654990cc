import { METRES_PER } from '../units/length';

/** Metres of what a coach measures with, where nobody measured it: a pace of a yard, a club of 35 in, a putter of 34 in, a flagstick of 7 ft, a shoe of a foot. */
export const PACE_M = METRES_PER.yd;
export const CLUB_M = 35 * METRES_PER.in;
export const PUTTER_M = 34 * METRES_PER.in;
export const FLAGSTICK_M = 7 * METRES_PER.ft;
export const SHOE_M = METRES_PER.ft;
