import type { Bound, QueryName } from './queries';
import type { Limited } from '@/db/actor';
import type { MAY } from './rights';

/** The queries of whoever sees some of the players only. */
export type LimitedQuery = {
  [Name in QueryName]: Extract<(typeof MAY)[Name][number], Limited['kind']> extends never ? never : Name;
}[QueryName];

/**
 * Of whom a query speaks: of nobody; of those whom the actor sees, which the query itself sees to (`db/queries/seen.ts`); or of the players or
 * the sessions that are asked for, and then it is asked only where the actor sees all of these. `otherwise`: what is answered in place of what
 * they don't see, as if it were not there; else it is an error, since no page leads there.
 */
type About<Name extends QueryName> =
  | 'nobody'
  | 'seen'
  | ((
      | { players: (...asked: Parameters<Bound[Name]>) => readonly (string | null)[] }
      | { sessions: (...asked: Parameters<Bound[Name]>) => readonly string[] }
    ) & {
      otherwise?: Awaited<ReturnType<Bound[Name]>>;
    });

/** The first thing that is asked, a player or a session. */
const first = { players: (id: string) => [id] };
const session = { sessions: (id: string) => [id] };
const guestless = (entrants: readonly { playerId: string; guest?: string | undefined }[]) =>
  entrants.filter(({ guest }) => guest === undefined).map(({ playerId }) => playerId);

/** A query that an assistant or a guardian may ask and that is not here is no program. */
export const ABOUT: { readonly [Name in LimitedQuery]: About<Name> } = {
  ownReference: 'nobody',
  leaveAcademy: 'nobody',
  listGroups: 'seen',

  listPlayers: 'seen',
  listPlayerNames: 'seen',
  getPlayer: { ...first, otherwise: null },
  saveDreads: first,
  saveSwingMarks: first,
  // Without a player it is the pace of the coach, with which everybody's games are set up.
  savePace: { players: (id) => [id] },
  bagOf: first,
  familyOf: { ...first, otherwise: null },
  erasureOf: first,
  giveConsent: first,
  withdrawConsent: first,
  readPlayerTables: first,
  askErasure: first,
  cancelErasure: first,

  carriedShots: first,
  puttRuns: first,

  listGames: 'nobody',
  sessionsOfGames: 'nobody',
  lastOfGames: 'seen',
  bestOfGames: 'seen',
  getGame: 'nobody',
  findGame: 'nobody',
  listGreens: 'nobody',
  getGreen: 'nobody',
  gamesOnGreen: 'nobody',

  listHours: 'seen',
  getHour: 'seen',
  hoursOf: 'seen',
  listSchools: 'nobody',
  takeRun: 'seen',
  isPlannedFor: first,
  listWeeks: 'seen',
  getWeeks: 'seen',
  weeksOfHour: 'seen',

  startSession: { players: (_id, _game, entrants) => guestless(entrants) },
  takeStart: {
    players: ({ entrants, guests = [] }) =>
      entrants.map(({ playerId }) => playerId).filter((id) => !guests.some(({ playerId }) => playerId === id)),
    otherwise: 'no player',
  },
  kitOf: 'seen',
  getSession: { ...session, otherwise: null },
  stopSession: session,
  resumeSession: session,
  conditionsToday: 'nobody',
  visitsOnThisWeekday: 'seen',
  saveConditions: session,
  saveStationDistance: session,
  saveNote: session,
  takeIn: session,
  noteRefused: session,
  noteDevice: 'nobody',
  eventsOfSession: session,
  sessionLog: session,
  shotsOfSessions: { sessions: (ids) => ids },
  shotsOfPlayer: first,
  unfinishedSessions: 'seen',
  countUnfinished: 'seen',
  finishedSessions: 'seen',
  placesOf: first,
  logbookPage: 'seen',
  logbookCount: 'seen',
  logbookScores: 'seen',
  logbookShots: 'seen',
  notesOfSessions: { sessions: (ids) => ids },
  listTags: 'seen',
  withShots: { sessions: (rows) => rows.map(({ sessionId }) => sessionId) },
  hasPlayed: first,
  bestBefore: { players: (_of, playerId) => [playerId] },
  scoresOf: first,
  dayInAcademy: 'nobody',
  keepReaderKey: session,
  newestReading: session,

  tallyBalls: first,
  tallyStretches: first,
  executedShots: first,
  spanOfEvidence: first,
  heldPosterior: first,
  keepPosterior: first,
  heldBriefs: 'seen',
  squadState: 'seen',
  keptMadeFrom: 'seen',
  heldSkills: 'seen',
  keepBrief: first,
  shotsOfCell: first,
  narrowings: first,
};

/** Somebody asked about players or sessions of whom they see nothing. */
export class NotTheirs extends Error {
  constructor(name: QueryName) {
    super(`${name} is about somebody whom the actor does not see`);
  }
}
