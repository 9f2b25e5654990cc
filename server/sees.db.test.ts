/** @jest-environment node */
import { plainEntrant } from '@/core/game/entrant';
import { beginRun } from '@/core/hour/run';
import { newPlayer } from '@/core/people/player';
import { game, idOf, left, record } from '@/core/testing/make';
import { hourOf } from '@/core/testing/make-hour';
import { weeksOf } from '@/core/testing/make-weeks';
import { sql } from 'drizzle-orm';
import type { Assistant } from '@/db/actor';
import { keepBrief, keepPosterior } from '@/db/queries/evidence';
import { saveGroup } from '@/db/queries/groups';
import { saveHour } from '@/db/queries/hours';
import { saveTags } from '@/db/queries/logbook';
import { saveNote } from '@/db/queries/notes';
import { savePlayer } from '@/db/queries/players';
import { getSession, startSession, stopSession } from '@/db/queries/sessions';
import { takeIn } from '@/db/queries/take-in';
import { saveWeeks } from '@/db/queries/weeks';
import { academies, own } from '@/db/testing/academy';
import type { LimitedQuery } from './about';
import { dataOf } from './data';
import { queriesOf } from './rights';

/*
 * An assistant asks everything that they may ask, about a player of another group: nothing of that player comes back, and nothing of theirs
 * changes. The coach asks the same, and gets it: so it is there.
 */
const { db, pool, academy } = academies('sees', 35_000);
jest.mock('./db', () => ({ database: () => mockDb(), WRITERS: 2 }));
jest.mock('./live', () => ({
  announce: () => undefined,
  doorsEnded: () => undefined,
  hearDoors: () => ({ works: () => false, ended: () => 0 }),
}));
const mockDb = () => db;
afterAll(() => pool.end());

jest.setTimeout(60_000);
/** Stands in all that the other player has. */
const MARK = 'Hidden';

async function twoGroups() {
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
  await keepBrief(db, actor, hidden, { madeFrom: MARK, brief: { version: 1, title: MARK } as never });
  const held = { evidenceRev: 2, halfLifeDays: 60, asOf: new Date(0), modelVersion: 1, level: 10, draws: Buffer.from('x'), strays: null };
  await keepPosterior(db, actor, hidden, held as never);
  await saveGroup(db, actor, id(60), { name: 'Juniors', playerIds: [at.playerId], userIds: [actor.userId] });
  const assistant: Assistant = { kind: 'assistant', academyId: actor.academyId, userId: actor.userId, players: [at.playerId] };
  const row = (await getSession(db, actor, session))!.session;
  return { ...at, id, hidden, session, open, hour, row, held, assistant };
}
type At = Awaited<ReturnType<typeof twoGroups>>;

const ASOF = new Date('2030-01-01');
/** What is asked, about the other player. */
const ASKED: { readonly [Name in LimitedQuery]: (at: At) => readonly unknown[] } = {
  ownReference: () => [],
  leaveAcademy: () => [],
  listGroups: () => [],
  listPlayers: () => [],
  getPlayer: ({ hidden }) => [hidden],
  saveDreads: ({ hidden }) => [hidden, { 'chip fairway': 5 }],
  saveSwingMarks: ({ hidden }) => [hidden, ['waist']],
  savePace: ({ hidden }) => [hidden, 1.1],
  bagOf: ({ hidden }) => [hidden],
  carriedShots: ({ hidden }) => [hidden],
  puttRuns: ({ hidden }) => [hidden],
  listGames: () => [],
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
  eventsOfSession: ({ session }) => [session],
  sessionLog: ({ session }) => [session],
  shotsOfSessions: ({ session }) => [[session]],
  shotsOfPlayer: ({ hidden }) => [hidden],
  unfinishedSessions: () => [10],
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
  heldBriefs: () => [],
  keepBrief: ({ hidden }) => [hidden, { madeFrom: 'changed', brief: {} }],
  shotsOfCell: ({ hidden }) => [hidden, { asOf: ASOF }, { shotType: 'chip', surface: 'fairway', fromM: 0, toM: 99 }],
  narrowings: ({ hidden }) => [hidden],
};

/** What the coach is shown of the other player when they ask the same. */
const SHOWN: readonly LimitedQuery[] = [
  ...([
    'listPlayers',
    'getPlayer',
    'bagOf',
    'lastOfGames',
    'listHours',
    'getHour',
    'hoursOf',
    'listWeeks',
    'getWeeks',
    'weeksOfHour',
  ] as const),
  ...(['kitOf', 'getSession', 'eventsOfSession', 'sessionLog', 'shotsOfSessions', 'shotsOfPlayer', 'unfinishedSessions'] as const),
  ...(['finishedSessions', 'logbookPage', 'logbookShots', 'notesOfSessions', 'listTags', 'withShots', 'heldPosterior'] as const),
  ...(['heldBriefs', 'shotsOfCell'] as const),
];
/** What changes when the coach does it. */
const CHANGES = /^(save|keep|take|start|stop|resume)/;

const plain = (answer: unknown) =>
  JSON.stringify(answer, (_key, value: unknown) => (value instanceof Map ? [...(value as Map<unknown, unknown>)] : value)) ?? '';

/** All rows in which the other player, or one of their sessions and plans, stands. */
async function ofTheirs({ actor, hidden, session, open, id }: At): Promise<string> {
  const tables = await db.execute<{ name: string }>(
    sql`select table_name as name from information_schema.columns where table_schema = 'public' and column_name = 'academy_id' order by 1`,
  );
  const all: string[] = [];
  const theirs = [hidden, session, open, id(54), id(55)].map((one) => `%${one}%`);
  for (const { name } of tables.rows) {
    const { rows } = await db.execute<{ row: string }>(sql`select to_jsonb(t)::text as row from ${sql.identifier(name)} t
      where academy_id = ${actor.academyId} and to_jsonb(t)::text like any(${sql.param(theirs)}::text[]) order by 1`);
    all.push(...rows.map(({ row }) => `${name} ${row}`));
  }
  return all.join('\n');
}

test('an assistant sees nothing of the players of other groups, and changes nothing of theirs', async () => {
  const at = await twoGroups();
  const data = dataOf(at.assistant) as unknown as Record<string, (...asked: unknown[]) => Promise<unknown>>;
  const names = queriesOf('assistant') as LimitedQuery[];
  expect(Object.keys(ASKED).toSorted()).toEqual(names.toSorted());
  const before = await ofTheirs(at);
  expect(before.split('\n').length).toBeGreaterThan(15);
  for (const name of names) {
    const answer = await data[name]!(...ASKED[name](at)).catch((error: Error) => error.constructor.name);
    const said = plain(answer);
    expect([name, said.includes(MARK), said.includes(at.hidden), said.includes(at.session)]).toEqual([name, false, false, false]);
    // Where it counts, it counts nothing.
    if (name === 'logbookCount') expect(answer).toBe(0);
    if (name === 'isPlannedFor' || name === 'hasPlayed') expect(answer).toBe('NotTheirs');
    // Nothing else goes wrong on the way.
    if (typeof answer === 'string') expect([name, answer]).not.toEqual([name, expect.stringMatching(/Error$/)]);
  }
  expect(await ofTheirs(at)).toBe(before);
});

test('a coach who asks the same is shown it, and changes it', async () => {
  const same = await twoGroups();
  for (const name of queriesOf('assistant') as LimitedQuery[]) {
    if (!SHOWN.includes(name) && !CHANGES.test(name)) continue;
    const at = CHANGES.test(name) ? await twoGroups() : same;
    const data = dataOf({ kind: 'coach', academyId: at.actor.academyId, userId: at.actor.userId }) as unknown as Record<
      string,
      (...asked: unknown[]) => Promise<unknown>
    >;
    const before = CHANGES.test(name) ? await ofTheirs(at) : '';
    const said = plain(await data[name]!(...ASKED[name](at)));
    if (SHOWN.includes(name)) expect([name, said.includes(MARK) || said.includes(at.hidden)]).toEqual([name, true]);
    else expect([name, (await ofTheirs(at)) !== before]).toEqual([name, true]);
  }
});
