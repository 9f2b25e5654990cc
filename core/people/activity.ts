/** What something was done with; by this its name is looked up. */
export type ActivityAbout =
  | 'academy'
  | 'player'
  | 'member'
  | 'group'
  | 'game'
  | 'green'
  | 'hour'
  | 'weeks'
  | 'session'
  | 'report'
  | 'invitation'
  | 'link'
  | 'key'
  | 'file';

/**
 * What is kept of who did what: with what it was done, how it is said behind somebody's name and before the name of that, and what is said in place of
 * the name where there is none: nothing, of what is gone with it. For "…" stands what came of it.
 */
export const ACTIVITIES = {
  saveAcademy: ['academy', 'changed the settings'],
  deleteAcademyAt: ['academy', 'set the day the academy is deleted'],
  saveRetention: ['academy', 'changed how long sessions are kept'],
  saveReference: ['academy', 'changed the reference table'],
  readTables: ['academy', 'downloaded an archive'],
  keepTables: ['academy', 'added an archive'],
  keepToken: ['key', 'made a key for other programs'],
  revokeToken: ['key', 'revoked a key'],

  keepInvitation: ['invitation', 'invited somebody'],
  revokeInvitation: ['invitation', 'cancelled an invitation'],
  joined: ['member', 'joined'],
  saveRole: ['member', 'changed the role of'],
  removeMember: ['member', 'removed'],
  leaveAcademy: ['member', 'left'],
  handOver: ['member', 'handed the academy to'],
  saveGroup: ['group', 'changed the group'],
  removeGroup: ['group', 'removed a group', ''],

  savePlayer: ['player', 'changed the player'],
  archivePlayer: ['player', '… the player'],
  saveRoundMix: ['player', 'changed what counts as a round for'],
  saveDreads: ['player', 'changed the dreaded shots of'],
  saveSwingMarks: ['player', 'changed the swing marks of'],
  savePace: ['player', 'changed the pace of', 'the coach'],
  erasePlayer: ['player', 'erased a player', ''],
  keepLink: ['player', 'made a personal link for'],
  revokeLink: ['link', 'ended a personal link'],
  saveBornYear: ['player', 'changed the year of birth of'],
  saveGuardian: ['player', 'changed a guardian of'],
  removeGuardian: ['academy', 'removed a guardian'],
  keepGuardianInvitation: ['invitation', 'invited somebody'],
  revokeGuardianInvitation: ['academy', 'cancelled a guardian’s invitation'],
  giveConsent: ['player', 'recorded consent for'],
  withdrawConsent: ['player', 'withdrew consent for'],
  readPlayerTables: ['player', 'downloaded everything about'],
  askErasure: ['player', 'asked to erase'],
  cancelErasure: ['player', 'no longer asks to erase'],
  declineErasure: ['player', 'declined to erase'],
  saveReportWords: ['player', 'wrote in the report of'],
  keepReport: ['player', 'shared a report of', 'the squad'],
  revokeReport: ['report', 'ended a report’s link'],
  addNote: ['player', 'added a note about'],
  removeNote: ['academy', 'removed a note'],

  saveGame: ['game', 'changed the game'],
  archiveGame: ['game', '… the game'],
  saveGreen: ['green', 'changed the green'],
  archiveGreen: ['green', '… the green'],
  saveHour: ['hour', 'planned'],
  archiveHour: ['hour', '… the plan'],
  saveSchool: ['academy', 'changed the ways to practise'],
  saveWeeks: ['weeks', 'planned'],
  followWeeks: ['weeks', 'moved the days of'],
  archiveWeeks: ['weeks', '… the plan'],

  startSession: ['session', 'began'],
  takeStart: ['session', 'began'],
  stopSession: ['session', 'ended'],
  resumeSession: ['session', 'reopened'],
  saveConditionsToday: ['academy', 'set today’s conditions'],
  saveConditions: ['session', 'changed the conditions of'],
  saveStationDistance: ['session', 'changed a distance in'],
  keepReaderKey: ['session', 'let a device measure distances in'],
  saveNote: ['session', 'wrote a note in'],
  saveTags: ['session', 'changed the tags of'],
  addResult: ['session', 'added a result of'],
  removeResult: ['session', 'removed a result', ''],
  startImport: ['file', 'imported'],
  undoImport: ['file', 'undid the import of'],

  lookedAt: ['player', 'viewed'],
  gotSessions: ['player', 'downloaded sessions of', 'everybody'],
  gotBalls: ['player', 'downloaded balls of', 'everybody'],
  gotReport: ['player', 'downloaded a report of', 'the squad'],
} as const satisfies Record<string, readonly [about: ActivityAbout, does: string, without?: string]>;
export type ActivityName = keyof typeof ACTIVITIES;

const known = (what: string): readonly [ActivityAbout, string, string?] | undefined =>
  (ACTIVITIES as Record<string, readonly [ActivityAbout, string, string?]>)[what];

/** These have a name, as long as they are there. */
const HAVE_NAMES: readonly ActivityAbout[] = ['player', 'member', 'group', 'game', 'green', 'hour', 'weeks', 'session', 'file'];

/**
 * What was done, as it is said behind somebody's name: "changed the role of Perrin: coach". What a newer program kept is said by its own word.
 * @param name of what it was done with, as it is now; null: it has none, or is not there any more
 */
export function sayDone({
  what,
  about,
  name,
  more,
}: {
  what: string;
  about: string | null;
  name: string | null;
  more: string | null;
}): string {
  const [kind, does, without] = known(what) ?? ['academy', what];
  const gone = HAVE_NAMES.includes(kind) ? '(since removed)' : '';
  const words = [does, name ?? (about === null || without === '' ? without : gone)].filter(Boolean).join(' ');
  if (more !== null && words.startsWith('… ')) return words.replace('…', more);
  return more === null ? words : `${words}: ${more}`;
}

/** With what something was done. */
export const aboutOf = (what: string): ActivityAbout => known(what)?.[0] ?? 'academy';

/** The kinds of activity that can be looked for. */
export const ACTIVITY_KINDS = {
  players: 'players and links',
  people: 'coaches and assistants',
  games: 'games, greens and plans',
  sessions: 'sessions',
  files: 'files in and out',
  looks: 'views',
} as const;
export type ActivityKind = keyof typeof ACTIVITY_KINDS;

const FILES: readonly string[] = [
  ...['readTables', 'keepTables', 'readPlayerTables', 'startImport', 'undoImport', 'gotSessions', 'gotBalls', 'gotReport'],
  ...['keepToken', 'revokeToken'],
];
const BY_ABOUT: Partial<Record<ActivityAbout, ActivityKind>> = {
  ...{ player: 'players', link: 'players', report: 'players' },
  ...{ member: 'people', group: 'people', invitation: 'people', key: 'people' },
  ...{ game: 'games', green: 'games', hour: 'games', weeks: 'games', session: 'sessions' },
};

/** Everything that is kept of one kind. */
export function activitiesOf(kind: ActivityKind): ActivityName[] {
  return (Object.keys(ACTIVITIES) as ActivityName[]).filter((what) => kindOf(what) === kind);
}

function kindOf(what: ActivityName): ActivityKind | undefined {
  if (what === 'lookedAt') return 'looks';
  return FILES.includes(what) ? 'files' : BY_ABOUT[ACTIVITIES[what][0]];
}
