/** A ball from two months ago counts half. A judgement: skill drifts, and a season is two or three times as long. */
export const HALF_LIFE_DAYS = 60;
