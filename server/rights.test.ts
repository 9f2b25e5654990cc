/** @jest-environment node */
import type { Actor, Role } from '@/db/actor';
import { dataOf } from './data';
import { QUERIES, type QueryName } from './queries';
import { MAY } from './rights';

jest.mock('./db', () => ({ database: () => 'the database' }));
jest.mock('./erasures', () => ({ keepErasure: () => Promise.resolve() }));
jest.mock('./live', () => ({ announce: () => undefined, doorsEnded: () => undefined }));
jest.mock('./balls-in', () => ({
  takeInTogether: (actor: Actor) => mockAsked('takeIn', actor),
  inTurn: (_actor: Actor, _id: string, ask: () => unknown) => ask(),
}));
/** What each leaves in the record of activity is tried there too (`leaves.db.test.ts`). */
jest.mock('./activity', () => ({ LEAVES: {}, leaving: (_name: string, query: unknown) => query }));
/** So is that what only reads can be read elsewhere (`replica.test.ts`, and `npm run try:replica`). */
jest.mock('./replica', () => ({}));
/** Of whom each query of an assistant speaks is tried with a database (`sees.db.test.ts`). */
jest.mock('./about', () => ({ ABOUT: new Proxy({}, { get: () => 'seen' }) }));
const mockAsked = jest.fn((name: string, _actor: Actor) => Promise.resolve(name === 'takeIn' ? { stored: 0 } : []));
jest.mock('./queries', () => ({
  QUERIES: Object.fromEntries(
    Object.keys(jest.requireActual<{ QUERIES: object }>('./queries').QUERIES).map((name) => [
      name,
      (_db: unknown, actor: Actor) => mockAsked(name, actor),
    ]),
  ),
}));

const academyId = 'here';
const ACTORS: { [Kind in Role]: Actor & { kind: Kind } } = {
  owner: { kind: 'owner', academyId, userId: 'u1' },
  coach: { kind: 'coach', academyId, userId: 'u2' },
  assistant: { kind: 'assistant', academyId, userId: 'u3', players: ['p1'] },
  guardian: { kind: 'guardian', academyId, userId: 'u4', players: ['p1'] },
  player: { kind: 'player', academyId, playerId: 'p1', linkId: 'l1' },
  reader: { kind: 'reader', academyId },
  program: { kind: 'program', academyId },
};
const ROLES = Object.keys(ACTORS) as Role[];
const NAMES = Object.keys(MAY) as QueryName[];
const asked = (role: Role) => dataOf(ACTORS[role]) as Partial<Record<QueryName, (...all: unknown[]) => Promise<unknown>>>;

/** Written out by hand, so that a slip in the table is seen: what each role may not do that the one before it may. */
test('what is given to whom', () => {
  const has = (role: Role) => NAMES.filter((name) => name in asked(role));
  const less = (more: Role, fewer: Role) => has(more).filter((name) => !has(fewer).includes(name));
  expect(NAMES.filter((name) => !has('owner').includes(name))).toEqual([
    'askErasure',
    'cancelErasure',
    'placesOf',
    'finishedLines',
    'playsIn',
    'takeReading',
  ]);
  expect(less('owner', 'coach')).toEqual([
    'deleteAcademyAt',
    'countEvents',
    'readTables',
    'keepTables',
    'keepToken',
    'listTokens',
    'revokeToken',
    'saveRole',
    'removeMember',
    'handOver',
    'keepInvitation',
    'listInvitations',
    'revokeInvitation',
    'lastBackups',
    'storageOf',
    'listRefused',
    'silentDevices',
    'whatRetentionTakes',
    'saveRetention',
    'listActivity',
  ]);
  expect(less('coach', 'assistant')).toEqual([
    'saveAcademy',
    'saveReference',
    'listMembers',
    'saveGroup',
    'removeGroup',
    'noteDownload',
    'savePlayer',
    'archivePlayer',
    'saveRoundMix',
    'whatErasingTakes',
    'erasePlayer',
    'keepLink',
    'linksOf',
    'revokeLink',
    'familyOf',
    'erasureOf',
    'saveBornYear',
    'saveGuardian',
    'removeGuardian',
    'keepGuardianInvitation',
    'revokeGuardianInvitation',
    'giveConsent',
    'withdrawConsent',
    'readPlayerTables',
    'declineErasure',
    'erasuresAsked',
    'keepReport',
    'reportsOf',
    'revokeReport',
    'saveReportWords',
    'saveGame',
    'archiveGame',
    'saveGreen',
    'archiveGreen',
    'saveHour',
    'archiveHour',
    'saveSchool',
    'saveWeeks',
    'followWeeks',
    'archiveWeeks',
    'saveConditionsToday',
    'notesAbout',
    'addNote',
    'removeNote',
    'saveTags',
    'addResult',
    'removeResult',
    'startImport',
    'stageRows',
    'keepRows',
    'undoImport',
    'getImport',
    'listImports',
    'mappingFor',
  ]);
  expect(has('player').toSorted()).toEqual(
    [
      ...[
        'bagOf',
        'bestBefore',
        'eventsOfSession',
        'finishedSessions',
        'getPlayer',
        'getSession',
        'hasPlayed',
        'isPlannedFor',
        'keepReaderKey',
        'kitOf',
      ],
      ...[
        'listHours',
        'listWeeks',
        'newestReading',
        'resumeSession',
        'saveConditions',
        'saveNote',
        'saveStationDistance',
        'startSession',
        'stopSession',
        'takeRun',
        'takeStart',
      ],
      ...[
        'takeIn',
        'unfinishedSessions',
        'countUnfinished',
        'withShots',
        'askErasure',
        'cancelErasure',
        'erasureOf',
        'readPlayerTables',
        'noteRefused',
        'noteDevice',
      ],
    ].toSorted(),
  );
  expect(has('guardian')).toEqual([
    'getPlayer',
    'familyOf',
    'erasureOf',
    'giveConsent',
    'withdrawConsent',
    'readPlayerTables',
    'askErasure',
    'cancelErasure',
    'placesOf',
  ]);
  expect([has('reader'), has('program')]).toEqual([['takeReading'], []]);
  expect([less('assistant', 'owner'), less('coach', 'owner'), less('player', 'assistant')]).toEqual([
    [],
    [],
    ['erasureOf', 'readPlayerTables', 'askErasure', 'cancelErasure'],
  ]);
});

test.each(ROLES)('%s: each query is there or not, and is asked in their own name', async (role) => {
  for (const name of NAMES) {
    const ask = asked(role)[name];
    expect([name, ask !== undefined]).toEqual([name, (MAY[name] as readonly Role[]).includes(role)]);
    mockAsked.mockClear();
    await ask?.('one', 'two', 'three');
    expect(mockAsked.mock.calls).toEqual(ask ? [[name, ACTORS[role]]] : []);
  }
});

test('every query there is stands in the table, but for those that nobody asks', () => {
  expect(Object.keys(QUERIES).filter((name) => !(name in MAY))).toEqual(['tidyUp', 'holderOfLink', 'sessionOfReader', 'reportByToken']);
});
