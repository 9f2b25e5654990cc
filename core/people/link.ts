/** For how many days a personal link may be made to hold, and how a coach says that. */
export const LINK_DAYS = [
  [1, 'today'],
  [30, '30 days'],
  [120, 'a season, 120 days'],
] as const;
export type LinkDays = (typeof LINK_DAYS)[number][0];
