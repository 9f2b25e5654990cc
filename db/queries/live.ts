/** The channel on which the instances of the program tell each other that a right to get in has ended. */
export const DOORS_CHANNEL = 'inch_doors';
/** The channel of an academy's sessions: an instance listens where somebody watches one, and hears nothing of the others. */
export const channelOf = (academyId: string): string => `inch_live_${academyId.replaceAll('-', '')}`;

/** What changed about a session: its balls, what else is said about it, or there is a reading for it. */
export type Change = 'facts' | 'session' | 'reading';
/** What is told to every instance: a change of a session; `doors`: a right to get in has ended. */
export type LiveChange = { academyId: string; sessionId: string; change: Change } | { change: 'doors' };
