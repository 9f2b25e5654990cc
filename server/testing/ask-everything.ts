import { plainEntrant } from '@/core/game/entrant';
import { beginRun } from '@/core/hour/run';
import { MAPPING_VERSION, type Mapping } from '@/core/imports/mapping';
import { newPlayer } from '@/core/people/player';
import { game, idOf, left, record } from '@/core/testing/make';
import { green } from '@/core/testing/make-green';
import { hourOf } from '@/core/testing/make-hour';
import { weeksOf } from '@/core/testing/make-weeks';
import type { Assistant, Guardian } from '@/db/actor';
import { keepBrief, keepPosterior } from '@/db/queries/evidence';
import { saveGuardian } from '@/db/queries/families';
import { saveGroup } from '@/db/queries/groups';
import { saveHour } from '@/db/queries/hours';
import { startImport } from '@/db/queries/imports';
import { keepLink } from '@/db/queries/links';
import { saveTags } from '@/db/queries/logbook';
import { addNote, saveNote } from '@/db/queries/notes';
import { savePlayer } from '@/db/queries/players';
import { getSession, startSession, stopSession } from '@/db/queries/sessions';
import { takeIn } from '@/db/queries/take-in';
import { saveWeeks } from '@/db/queries/weeks';
import { authMember, authUser } from '@/db/schema';
import { own, type academies } from '@/db/testing/academy';
import type { QueryName } from '../queries';

const MAPPING: Mapping = { version: MAPPING_VERSION, kind: 'balls', header: true, columns: {}, all: {}, units: {}, dates: null };
/** Stands in all that the other player has. */
export const MARK = 'Hidden';

/** An academy with a player in a group, and another who is in none and has everything; whatever is asked is asked about the other. */
export async function twoGroups({ db, academy }: Pick<ReturnType<typeof academies>, 'db' | 'academy'>) {
  const at = await academy();
  const { actor, gameId } = at;
  const id = (n: number) => idOf(at.n * 100_000 + n);
  const [hidden, session, open] = [id(50), id(51), id(52)];
  await savePlayer(db, actor, hidden, {
    ...newPlayer(`${MARK} Holly`, 'imperial'),
    clubs: [{ clubId: id(53), label: `${MARK} wedge`, loftDeg: 56 }],
  });
  for (const sessionId of [session, open]) {
    await startSession(db, actor, sessionId, gameId, [{ playerId: hidden, allowance: 0 }]);
    const events = [
      record(game(), 0, left(2), 400 + (sessionId === open ? 20 : 0)),
      record(game(), 1, left(3), 402 + (sessionId === open ? 20 : 0)),
    ];
    await takeIn(
      db,
      actor,
      sessionId,
      events.map((event) => own({ ...at, playerId: hidden }, event, sessionId)),
    );
  }
  await stopSession(db, actor, session);
  await saveTags(db, actor, session, [`${MARK} tag`]);
  await saveNote(db, actor, session, hidden, 'own', `${MARK} note`);
  const hour = hourOf({ title: `${MARK} hour` }, { gameId, spec: game() });
  await saveHour(db, actor, id(54), hour, [hidden], null);
  await saveWeeks(
    db,
    actor,
    id(55),
    weeksOf({ title: `${MARK} weeks`, days: [{ hourId: id(54), day: '2026-03-02', at: null, minutes: 30, aim: 'practise' }] }),
    [hidden],
    null,
  );
  await keepBrief(db, actor, hidden, { madeFrom: MARK, brief: { version: 1, title: MARK } as never, skills: { shot: [MARK] } as never });
  const held = { evidenceRev: 2, halfLifeDays: 60, asOf: new Date(0), modelVersion: 1, level: 10, draws: Buffer.from('x'), strays: null };
  await keepPosterior(db, actor, hidden, held as never);
  await saveGroup(db, actor, id(60), { name: 'Juniors', playerIds: [at.playerId], userIds: [actor.userId] });
  const second = `${actor.userId}-second`;
  await db.insert(authUser).values({ id: second, name: 'Second coach', email: `${second}@test.example` });
  await db.insert(authMember).values({ id: second, organizationId: actor.academyId, userId: second, role: 'coach' });
  await keepLink(db, actor, at.playerId, { linkId: id(56), tokenHash: Buffer.from(`link ${at.n}`), expiresAt: ASOF });
  await saveGuardian(db, actor, hidden, id(61), { name: `${MARK} guardian`, email: `guardian-${at.n}@test.example`, phone: '' });
  await startImport(db, actor, { importId: id(57), kind: 'balls', fileName: 'x.csv', columns: [], mapping: MAPPING, players: [] });
  await addNote(db, actor, at.playerId, id(58), 'about the first');
  const assistant: Assistant = { kind: 'assistant', academyId: actor.academyId, userId: actor.userId, players: [at.playerId] };
  const guardian: Guardian = { ...assistant, kind: 'guardian' };
  const row = (await getSession(db, actor, session))!.session;
  return { ...at, id, hidden, session, open, hour, row, held, second, assistant, guardian };
}
export type At = Awaited<ReturnType<typeof twoGroups>>;

const ASOF = new Date('2030-01-01');
/** What is asked, about the other player where it is about one. */
export const ASKED: { readonly [Name in QueryName]: (at: At) => readonly unknown[] } = {
  ownReference: () => [],
  leaveAcademy: () => [],
  listGroups: () => [],
  listPlayers: () => [],
  listPlayerNames: () => [],
  getPlayer: ({ hidden }) => [hidden],
  saveDreads: ({ hidden }) => [hidden, { 'chip fairway': 5 }],
  saveSwingMarks: ({ hidden }) => [hidden, ['waist']],
  savePace: ({ hidden }) => [hidden, 1.1],
  bagOf: ({ hidden }) => [hidden],
  carriedShots: ({ hidden }) => [hidden],
  puttRuns: ({ hidden }) => [hidden],
  listGames: () => [],
  sessionsOfGames: () => [],
  lastOfGames: () => [],
  bestOfGames: () => [],
  getGame: ({ gameId }) => [gameId],
  findGame: () => [game()],
  listGreens: () => [],
  getGreen: ({ id }) => [id(99)],
  gamesOnGreen: ({ id }) => [id(99)],
  listHours: () => [],
  getHour: ({ id }) => [id(54)],
  hoursOf: ({ id }) => [[id(54)]],
  listSchools: () => [],
  takeRun: ({ id, hour }) => [beginRun(hour, { runId: id(70), hourId: id(54) }, ASOF.toISOString())],
  isPlannedFor: ({ hidden, gameId }) => [hidden, gameId],
  listWeeks: () => [],
  getWeeks: ({ id }) => [id(55)],
  weeksOfHour: ({ id }) => [id(54)],
  startSession: ({ id, hidden, gameId }) => [id(71), gameId, [{ playerId: hidden, allowance: 0 }]],
  takeStart: ({ id, hidden, gameId }) => [
    { sessionId: id(72), gameId, gameVersion: 1, entrants: [plainEntrant(hidden, 10)], guests: [], startedAt: ASOF.toISOString() },
    ASOF,
  ],
  kitOf: ({ hidden }) => [{ playerIds: [hidden] }],
  getSession: ({ session }) => [session],
  stopSession: ({ open }) => [open],
  resumeSession: ({ session }) => [session],
  conditionsToday: () => [],
  visitsOnThisWeekday: () => [4],
  saveConditions: ({ session }) => [session, { wet: true }],
  saveStationDistance: ({ session }) => [session, { key: game().stations[0]!.key, distanceM: 3, source: 'typed' }],
  saveNote: ({ session, hidden }) => [session, hidden, 'own', 'changed'],
  takeIn: ({ session, hidden, ...at }) => [
    session,
    [own({ ...at, playerId: hidden, sessionId: session }, record(game(), 3, left(1), 480), session)],
  ],
  noteRefused: ({ session, id }) => [session, [{ eventId: id(94), why: 'changed' }]],
  noteDevice: ({ id }) => [id(95)],
  eventsOfSession: ({ session }) => [session],
  sessionLog: ({ session }) => [session],
  shotsOfSessions: ({ session }) => [[session]],
  shotsOfPlayer: ({ hidden }) => [hidden],
  unfinishedSessions: () => [10],
  countUnfinished: () => [],
  finishedSessions: () => [10],
  logbookPage: () => [{}, { sort: 'newest', after: null, limit: 10 }],
  logbookCount: () => [{ find: MARK }, 10],
  logbookScores: () => [{}],
  logbookShots: () => [{}, { sort: 'newest', after: null, limit: 10 }],
  notesOfSessions: ({ session }) => [[session]],
  listTags: () => [],
  withShots: ({ row }) => [[row]],
  hasPlayed: ({ hidden, gameId }) => [hidden, gameId],
  bestBefore: ({ row, hidden }) => [row, hidden],
  scoresOf: ({ hidden }) => [hidden],
  dayInAcademy: () => [],
  keepReaderKey: ({ session, id }) => [session, { keyId: id(73), tokenHash: Buffer.from('key'), expiresAt: ASOF }],
  newestReading: ({ session }) => [session, new Date(0)],
  tallyBalls: ({ hidden }) => [hidden, { asOf: ASOF }, null],
  tallyStretches: ({ hidden }) => [hidden, []],
  executedShots: ({ hidden }) => [hidden],
  spanOfEvidence: ({ hidden }) => [hidden],
  heldPosterior: ({ hidden }) => [hidden],
  keepPosterior: ({ hidden, held }) => [hidden, { ...held, evidenceRev: 99 }],
  heldBriefs: ({ hidden }) => [[hidden]],
  squadState: () => [],
  keptMadeFrom: () => [],
  heldSkills: ({ hidden }) => ['round', [hidden]],
  keepBrief: ({ hidden }) => [hidden, { madeFrom: 'changed', brief: {}, skills: {} }],
  shotsOfCell: ({ hidden }) => [hidden, { asOf: ASOF }, { shotType: 'chip', surface: 'fairway', fromM: 0, toM: 99 }],
  narrowings: ({ hidden }) => [hidden],

  familyOf: ({ hidden }) => [hidden],
  erasureOf: ({ hidden }) => [hidden],
  saveBornYear: ({ hidden }) => [hidden, 2014],
  saveGuardian: ({ hidden, id }) => [hidden, id(61), { name: 'Changed', email: '', phone: '020 555 0142' }],
  removeGuardian: ({ id }) => [id(61)],
  keepGuardianInvitation: ({ id, n }) => [id(61), { invitationId: id(92), tokenHash: Buffer.from(`guardian ${n}`), expiresAt: ASOF }],
  revokeGuardianInvitation: ({ id }) => [id(61)],
  giveConsent: ({ hidden, id }) => [hidden, id(93), { by: 'Somebody', on: '2026-05-01' }],
  withdrawConsent: ({ hidden }) => [hidden],
  readPlayerTables: ({ hidden }) => [
    hidden,
    async (_table: string, lines: AsyncIterable<unknown>) => {
      for await (const line of lines) void line;
    },
  ],
  askErasure: ({ hidden }) => [hidden, 'changed'],
  cancelErasure: ({ hidden }) => [hidden],
  declineErasure: ({ hidden }) => [hidden, 'why'],
  erasuresAsked: () => [],
  placesOf: ({ hidden }) => [hidden, 10],

  saveAcademy: () => [{ units: 'metric', timeZone: 'UTC' }],
  deleteAcademyAt: () => [ASOF],
  countEvents: () => [],
  readTables: () => [
    async (_table: string, lines: AsyncIterable<unknown>) => {
      for await (const line of lines) void line;
    },
  ],
  keepTables: () => ['elsewhere', (async function* () {})()],
  keepToken: ({ id }) => [{ tokenId: id(80), name: 'x', scopes: ['read'], tokenHash: Buffer.from('x'), expiresAt: null }],
  listTokens: () => [ASOF],
  revokeToken: ({ id }) => [id(80)],
  saveReference: () => [{ name: 'Own', expected: {} }],
  listMembers: () => [],
  saveRole: ({ second }) => [second, 'assistant'],
  removeMember: ({ second }) => [second],
  handOver: ({ second }) => [second],
  keepInvitation: ({ id, n }) => [
    {
      invitationId: id(81),
      email: `new-${n}@test.example`,
      role: 'coach',
      groupIds: [],
      tokenHash: Buffer.from(`x ${n}`),
      expiresAt: ASOF,
    },
  ],
  listInvitations: () => [ASOF],
  revokeInvitation: ({ id }) => [id(81)],
  saveGroup: ({ id }) => [id(60), { name: 'Juniors', playerIds: [], userIds: [] }],
  removeGroup: ({ id }) => [id(60)],
  lastBackups: () => [],
  storageOf: () => [],
  listRefused: () => [10],
  silentDevices: () => [ASOF, 10],
  whatRetentionTakes: () => [1],
  saveRetention: () => [5],
  listActivity: () => [{}, 10],
  noteDownload: () => ['gotBalls', null],
  savePlayer: ({ hidden }) => [hidden, newPlayer('Changed', 'imperial')],
  archivePlayer: ({ hidden }) => [hidden, true],
  saveRoundMix: ({ hidden }) => [hidden, null],
  whatErasingTakes: ({ hidden }) => [hidden],
  erasePlayer: ({ hidden }) => [hidden],
  keepLink: ({ hidden, id, n }) => [hidden, { linkId: id(82), tokenHash: Buffer.from(`another ${n}`), expiresAt: ASOF }],
  linksOf: ({ hidden }) => [hidden, ASOF],
  revokeLink: ({ id }) => [id(56)],
  keepReport: ({ hidden, id, n }) => [hidden, { reportId: id(83), report: {}, tokenHash: Buffer.from(`report ${n}`), expiresAt: ASOF }],
  reportsOf: ({ hidden }) => [hidden, ASOF],
  revokeReport: ({ id }) => [id(83)],
  saveReportWords: ({ hidden }) => [hidden, 'words'],
  saveGame: ({ gameId }) => [gameId, game()],
  archiveGame: ({ gameId }) => [gameId, true],
  saveGreen: ({ id }) => [id(84), green()],
  archiveGreen: ({ id }) => [id(84), true],
  saveHour: ({ id, hour, hidden }) => [id(85), hour, [hidden], null],
  archiveHour: ({ id }) => [id(54), true],
  saveSchool: ({ id }) => [id(86), { title: 'Own' }],
  saveWeeks: ({ id, hidden }) => [id(87), weeksOf({ title: 'Weeks' }), [hidden], null],
  followWeeks: ({ id }) => [id(55)],
  archiveWeeks: ({ id }) => [id(55), true],
  saveConditionsToday: () => [{ wet: true }],
  finishedLines: ({ row }) => [[row]],
  playsIn: ({ session, hidden }) => [session, hidden],
  notesAbout: ({ hidden }) => [hidden],
  addNote: ({ hidden, id }) => [hidden, id(88), 'words'],
  removeNote: ({ id }) => [id(58)],
  saveTags: ({ session }) => [session, ['tag']],
  addResult: ({ hidden, id }) => [
    { sessionId: id(89), playerId: hidden, playedAt: '2026-01-02T12:00:00Z', title: 'Elsewhere', score: 3, unit: 'points', note: '' },
  ],
  removeResult: ({ id }) => [id(89)],
  startImport: ({ id }) => [{ importId: id(90), kind: 'balls', fileName: 'y.csv', columns: [], mapping: MAPPING, players: [] }],
  stageRows: ({ id }) => [id(57), { columns: ['player'], rows: [{ line: 1, cells: ['nobody'] }] }],
  keepRows: ({ id }) => [id(57)],
  undoImport: ({ id }) => [id(57)],
  getImport: ({ id }) => [id(57)],
  listImports: () => [10],
  mappingFor: () => [['player']],
  takeReading: ({ session, id }) => [
    { keyId: id(73), sessionId: session },
    { readingId: id(91), distanceM: 3, readAt: ASOF.toISOString() },
  ],
};
