import { METRES_PER } from './length';

/** Metres per second in a mile per hour: 1,760 yards in 3,600 seconds. */
export const MPH = (1760 * METRES_PER.yd) / 3600;
