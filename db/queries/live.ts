/** The channel on which the instances of the program tell each other what changed. */
export const LIVE_CHANNEL = 'inch_live';

/** What changed about a session: its balls, what else is said about it, or there is a reading for it. */
export type Change = 'facts' | 'session' | 'reading';
/** A change that whoever watches is told of; `links`: personal links of the academy hold no longer. */
export type Told = { academyId: string; sessionId: string; change: Change } | { academyId: string; change: 'links' };
