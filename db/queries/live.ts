/** The channel on which the instances of the program tell each other what changed. */
export const LIVE_CHANNEL = 'inch_live';

/** What changed about a session: its balls, what else is said about it, or there is a reading for it. */
export type Change = 'facts' | 'session' | 'reading';
/** What is told to every instance: a change of a session; `doors`: a right to get in has ended. */
export type LiveChange = { academyId: string; sessionId: string; change: Change } | { change: 'doors' };
