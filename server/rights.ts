import type { Role } from '@/db/actor';
import type { Bound, QueryName } from './queries';

const OWNER = ['owner'] as const;
const COACHES = ['owner', 'coach'] as const;
const DESK = ['owner', 'coach', 'assistant'] as const;
/** At the green: whoever works there, and a player by a personal link, who speaks for nobody else. */
const PLAY = ['owner', 'coach', 'assistant', 'player'] as const;
/** What is kept about a player is theirs to see, and their family's. */
const FAMILY = ['owner', 'coach', 'guardian'] as const;
/** What can be asked for: by the player, or whoever looks after them. */
const THEIR_OWN = ['guardian', 'player'] as const;
const NOBODY = [] as const;

/** Who may ask what. Whoever is not named for a query is not given it (`dataOf`). */
export const MAY = {
  // The academy.
  saveAcademy: COACHES,
  deleteAcademyAt: OWNER,
  countEvents: OWNER,
  readTables: OWNER,
  keepTables: OWNER,
  keepToken: OWNER,
  listTokens: OWNER,
  revokeToken: OWNER,
  ownReference: DESK,
  saveReference: COACHES,

  // Who works here.
  listMembers: COACHES,
  saveRole: OWNER,
  removeMember: OWNER,
  leaveAcademy: DESK,
  handOver: OWNER,
  keepInvitation: OWNER,
  listInvitations: OWNER,
  revokeInvitation: OWNER,
  listGroups: DESK,
  saveGroup: COACHES,
  removeGroup: COACHES,
  lastBackups: OWNER,
  storageOf: OWNER,
  listRefused: OWNER,
  silentDevices: OWNER,
  whatRetentionTakes: OWNER,
  saveRetention: OWNER,
  listActivity: OWNER,
  noteDownload: COACHES,

  // Players.
  listPlayers: DESK,
  listPlayerNames: DESK,
  getPlayer: [...PLAY, 'guardian'],
  savePlayer: COACHES,
  archivePlayer: COACHES,
  saveRoundMix: COACHES,
  saveDreads: DESK,
  saveSwingMarks: DESK,
  savePace: DESK,
  bagOf: PLAY,
  whatErasingTakes: COACHES,
  erasePlayer: COACHES,
  keepLink: COACHES,
  linksOf: COACHES,
  revokeLink: COACHES,

  // Families, and what they can ask for.
  familyOf: FAMILY,
  erasureOf: [...FAMILY, 'player'],
  saveBornYear: COACHES,
  saveGuardian: COACHES,
  removeGuardian: COACHES,
  keepGuardianInvitation: COACHES,
  revokeGuardianInvitation: COACHES,
  giveConsent: FAMILY,
  withdrawConsent: FAMILY,
  readPlayerTables: [...FAMILY, 'player'],
  askErasure: THEIR_OWN,
  cancelErasure: THEIR_OWN,
  declineErasure: COACHES,
  erasuresAsked: COACHES,

  // Reports.
  keepReport: COACHES,
  reportsOf: COACHES,
  revokeReport: COACHES,
  saveReportWords: COACHES,

  // Tools.
  carriedShots: DESK,
  puttRuns: DESK,

  // Games and greens.
  listGames: DESK,
  sessionsOfGames: DESK,
  lastOfGames: DESK,
  bestOfGames: DESK,
  getGame: DESK,
  saveGame: COACHES,
  archiveGame: COACHES,
  findGame: DESK,
  listGreens: DESK,
  getGreen: DESK,
  gamesOnGreen: DESK,
  saveGreen: COACHES,
  archiveGreen: COACHES,

  // Plans.
  listHours: PLAY,
  getHour: DESK,
  hoursOf: DESK,
  saveHour: COACHES,
  archiveHour: COACHES,
  listSchools: DESK,
  saveSchool: COACHES,
  takeRun: PLAY,
  isPlannedFor: PLAY,
  listWeeks: PLAY,
  getWeeks: DESK,
  weeksOfHour: DESK,
  saveWeeks: COACHES,
  followWeeks: COACHES,
  archiveWeeks: COACHES,

  // Sessions, and what is recorded in them.
  startSession: PLAY,
  takeStart: PLAY,
  kitOf: PLAY,
  getSession: PLAY,
  stopSession: PLAY,
  resumeSession: PLAY,
  conditionsToday: DESK,
  visitsOnThisWeekday: DESK,
  saveConditionsToday: COACHES,
  saveConditions: PLAY,
  saveStationDistance: PLAY,
  saveNote: PLAY,
  takeIn: PLAY,
  noteRefused: PLAY,
  noteDevice: PLAY,
  eventsOfSession: PLAY,
  sessionLog: DESK,
  shotsOfSessions: DESK,
  shotsOfPlayer: DESK,
  unfinishedSessions: PLAY,
  countUnfinished: PLAY,
  finishedSessions: PLAY,
  placesOf: ['guardian'],
  finishedLines: NOBODY,
  logbookPage: DESK,
  logbookCount: DESK,
  logbookScores: DESK,
  logbookShots: DESK,
  notesOfSessions: DESK,
  notesAbout: COACHES,
  addNote: COACHES,
  removeNote: COACHES,
  listTags: DESK,
  saveTags: COACHES,
  addResult: COACHES,
  removeResult: COACHES,
  startImport: COACHES,
  stageRows: COACHES,
  keepRows: COACHES,
  undoImport: COACHES,
  getImport: COACHES,
  listImports: COACHES,
  mappingFor: COACHES,
  withShots: PLAY,
  hasPlayed: PLAY,
  bestBefore: PLAY,
  scoresOf: DESK,
  dayInAcademy: DESK,
  playsIn: NOBODY,
  keepReaderKey: PLAY,
  newestReading: PLAY,
  takeReading: ['reader'],

  // What the records say.
  tallyBalls: DESK,
  tallyStretches: DESK,
  executedShots: DESK,
  spanOfEvidence: DESK,
  heldPosterior: DESK,
  keepPosterior: DESK,
  heldBriefs: DESK,
  squadState: DESK,
  keptMadeFrom: DESK,
  heldSkills: DESK,
  keepBrief: DESK,
  shotsOfCell: DESK,
  narrowings: DESK,
} as const satisfies Record<QueryName, readonly Role[]>;

/** The queries of one role; of several, those that all of them have. */
export type DataFor<Of extends Role> = {
  [Name in QueryName as [Of] extends [(typeof MAY)[Name][number]] ? Name : never]: Bound[Name];
};

/** The names of the queries that a role has. */
export function queriesOf(role: Role): QueryName[] {
  return (Object.keys(MAY) as QueryName[]).filter((name) => (MAY[name] as readonly Role[]).includes(role));
}
