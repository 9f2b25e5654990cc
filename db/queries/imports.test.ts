import { and, asc, count, eq, sql } from 'drizzle-orm';
import { randomUUID } from 'node:crypto';
import { writeShotTable } from '@/core/formats/shot-table-out';
import { ImportFile } from '@/core/imports/import-file';
import { mappingSchema, type Mapping } from '@/core/imports/mapping';
import { UNMEASURED } from '@/core/measures/read-length';
import { game, holed, left, record } from '@/core/testing/make';
import { PLAIN_REPORT } from '@/core/testing/make-report';
import { addDays, subDays } from 'date-fns';
import type { Member } from '../actor';
import { activity, authSession, authVerification, importFile, importRow, player, session, sessionPlayer, shot, shotEvent } from '../schema';
import { academies, own } from '../testing/academy';
import { erasePlayer, tidyUp } from './erase';
import { saveGame } from './games';
import { keepRows, undoImport, type ImportStep } from './import-keep';
import { idFrom } from '../ids';
import { getImport, listImports, mappingFor, stageRows, startImport } from './imports';
import { keepInvitation } from './invitations';
import { logbookPage } from './logbook';
import { rebuildShots } from './projection';
import { keepReport, reportByToken, reportsOf, revokeReport } from './reports';
import { addResult, removeResult } from './results';
import { bestBefore, finishedSessions, scoresOf } from './sessions';
import { shotsOfPlayer } from './shots';
import { takeIn } from './take-in';

const { db, pool, academy } = academies('imports', 24_000);
afterAll(() => pool.end());

const GIVEN = { timeZone: 'UTC', nowMs: Date.now(), own: UNMEASURED };

type Brought = { importId: string; step: ImportStep };

/** Brings in a file as the page does; players who are not named in `known` come with it. */
async function bring(actor: Member, text: string, known: Record<string, string> = {}, change: Partial<Mapping> = {}): Promise<Brought> {
  const importId = randomUUID();
  await send(actor, importId, text, known, change);
  return { importId, step: await keepAll(actor, importId) };
}

async function send(actor: Member, importId: string, text: string, known: Record<string, string> = {}, change: Partial<Mapping> = {}) {
  const file = new ImportFile(text);
  const mapping = mappingSchema.parse({ ...file.guess(), ...change });
  const looking = file.look(mapping, GIVEN, 'imperial');
  let look = looking.next();
  while (!look.done) look = looking.next();
  expect(look.value).toMatchObject({ missing: [], unitless: [] });
  const ids = new Map(look.value.players.map(({ name }) => [name, known[name] ?? randomUUID()]));
  const players = [...ids].filter(([name]) => !known[name]).map(([name, playerId]) => ({ playerId, name }));
  await startImport(db, actor, { importId, kind: mapping.kind, fileName: 'notes.csv', columns: file.names(mapping), mapping, players });
  for (const batch of file.batches(mapping, GIVEN, (name) => ids.get(name)!))
    expect(await stageRows(db, actor, importId, batch)).toEqual([]);
}

async function keepAll(actor: Member, importId: string): Promise<ImportStep> {
  for (;;) {
    const step = await keepRows(db, actor, importId);
    if (!step) throw new Error('nothing to keep');
    if (step.left === 0) return step;
  }
}

async function undoAll(actor: Member, importId: string): Promise<void> {
  for (;;) if ((await undoImport(db, actor, importId))!.left === 0) return;
}

/** All that an academy has, by table: what a file must not change twice, and what undoing takes back. */
async function everything({ academyId }: Member) {
  const events = await db.select().from(shotEvent).where(eq(shotEvent.academyId, academyId)).orderBy(asc(shotEvent.shotId));
  const shots = await db.select().from(shot).where(eq(shot.academyId, academyId)).orderBy(asc(shot.shotId));
  const sessions = await db.select().from(session).where(eq(session.academyId, academyId)).orderBy(asc(session.sessionId));
  const seats = await db.select().from(sessionPlayer).where(eq(sessionPlayer.academyId, academyId)).orderBy(asc(sessionPlayer.sessionId));
  const players = await db
    .select({ id: player.playerId, name: player.name })
    .from(player)
    .where(eq(player.academyId, academyId))
    .orderBy(asc(player.playerId));
  return { events, shots, sessions, seats, players };
}

const NOTES = [
  'date,player,shot,lie,distance_yd,left_ft,holed,club,note',
  '2026-05-03,Otto,chip,fringe,10,4,,PW,first',
  '2026-05-03,Otto,chip,fringe,10,4,,PW,first',
  '2026-05-03,Otto,chip,fringe,10,,yes,PW,',
  '2026-05-03,Mia,pitch,light rough,20,9,,SW,',
  '2026-05-04,Otto,putt,,3,1,,,',
].join('\n');

test('balls of a notebook become sessions, events and balls; rebuilding changes nothing', async () => {
  const { actor, playerId } = await academy();
  const { step, importId } = await bring(actor, NOTES, { Otto: playerId });
  expect(step).toMatchObject({ state: 'kept', kept: 5, known: 0, refused: 0, left: 0 });
  const balls = await shotsOfPlayer(db, actor, playerId);
  expect(
    balls.map(({ shotType, leftM, holed: in_, ballNo, turnNo, playedAt }) => [shotType, leftM, in_, ballNo, turnNo, playedAt]),
  ).toEqual([
    ['chip', 1.2192, false, 1, 0, '2026-05-03T12:00:00.000Z'],
    ['chip', 1.2192, false, 2, 1, '2026-05-03T12:00:00.000Z'],
    ['chip', null, true, 3, 2, '2026-05-03T12:00:00.000Z'],
    ['putt', 0.3048, false, 1, 0, '2026-05-04T12:00:00.000Z'],
  ]);
  const lines = await finishedSessions(db, actor, 10);
  expect(lines.map(({ session: { title }, balls: n, players }) => [title, n, players.map(({ name }) => name)])).toEqual([
    ['Balls from a file', 1, ['Otto']],
    ['Balls from a file', expect.any(Number), [expect.any(String)]],
    ['Balls from a file', expect.any(Number), [expect.any(String)]],
  ]);
  const before = await everything(actor);
  await rebuildShots(db, actor);
  const after = await everything(actor);
  expect(after.shots).toEqual(before.shots);
  const brought = (all: typeof after) => all.sessions.filter(({ importId: by }) => by !== null);
  expect(brought(after)).toEqual(brought(before));
  expect(await db.$count(importRow, eq(importRow.academyId, actor.academyId))).toBe(0);
  const [mia] = after.players.filter(({ name }) => name === 'Mia');
  expect((await getImport(db, actor, importId))!.players).toEqual([mia!.id]);
});

test('the same file twice changes nothing; a longer one adds what is new in it', async () => {
  const { actor, playerId } = await academy();
  await bring(actor, NOTES, { Otto: playerId });
  const before = await everything(actor);
  const { Mia } = Object.fromEntries(before.players.map(({ id, name }) => [name, id]));
  const again = await bring(actor, NOTES, { Otto: playerId, Mia: Mia! });
  expect(again.step).toMatchObject({ kept: 0, known: 5 });
  expect(await everything(actor)).toEqual(before);
  const longer = await bring(actor, `${NOTES}\n2026-05-03,Otto,chip,fringe,10,2,,PW,later\n2026-05-05,Otto,putt,,3,1,,,`, {
    Otto: playerId,
    Mia: Mia!,
  });
  expect(longer.step).toMatchObject({ kept: 2, known: 5 });
  const balls = await shotsOfPlayer(db, actor, playerId);
  // The session of that day goes on where it was.
  expect(balls.filter(({ note }) => note === 'later')).toMatchObject([{ ballNo: 4, turnNo: 3 }]);
  // What the longer file brought goes, and nothing else.
  await undoAll(actor, longer.importId);
  const { shots, events, players } = await everything(actor);
  expect([shots, events, players]).toEqual([before.shots, before.events, before.players]);
});

test('undoing takes back all of it: balls, sessions and players of whom nothing else is known', async () => {
  const { actor, playerId } = await academy();
  const before = await everything(actor);
  const { importId } = await bring(actor, NOTES, { Otto: playerId });
  const halfway = randomUUID();
  await send(actor, halfway, NOTES.replaceAll('Otto', 'Edda'), { Mia: playerId });
  await undoAll(actor, importId);
  // One that was never kept leaves no row behind either.
  await undoAll(actor, halfway);
  expect(await everything(actor)).toEqual(before);
  expect(await db.$count(importRow, eq(importRow.academyId, actor.academyId))).toBe(0);
  expect((await listImports(db, actor, 9)).map(({ state }) => state)).toEqual(['undone', 'undone']);
  // What was taken back is not kept any more, and takes nothing.
  expect(await keepRows(db, actor, importId)).toBeNull();
  expect(await stageRows(db, actor, importId, { columns: ['player'], rows: [{ line: 1, cells: [playerId] }] })).toBeNull();
  // It can come again.
  expect((await bring(actor, NOTES, { Otto: playerId })).step).toMatchObject({ kept: 5 });
});

test('any text names a ball: the same name in another session is another ball; an id of ours is that ball', async () => {
  const at = await academy();
  const { actor, playerId, sessionId } = at;
  const event = own(at, record(game(), 0, left(4)));
  await takeIn(db, actor, sessionId, [event]);
  const rows = [
    'shot_id,date,player,shot,lie,distance_yd,left_ft,session',
    '1,2026-05-03,Otto,chip,fringe,10,4,morning',
    '2,2026-05-03,Otto,chip,fringe,10,4,morning',
    '1,2026-05-03,Otto,chip,fringe,10,5,evening',
    '1,2026-05-03,Otto,chip,fringe,10,5,evening',
    `${event.shotId},2026-05-03,Otto,chip,fringe,10,5,evening`,
  ];
  const { step } = await bring(actor, rows.join('\n'), { Otto: playerId });
  expect(step).toMatchObject({ kept: 3, known: 2, refused: 0 });
  // A session that was played here is not added to by a file.
  const foreign = await bring(actor, `session_id,date,player,shot,lie,distance_yd,left_ft\n${sessionId},2026-05-03,Otto,chip,fringe,10,4`, {
    Otto: playerId,
  });
  expect(foreign.step).toMatchObject({ kept: 0, known: 0, refused: 1 });
});

test('balls go out of one academy and into another equal, in their game where that is there', async () => {
  const from = await academy();
  const [to, bare] = [await academy(), await academy()];
  const events = [0, 1, 2, 3, 4, 5].map((n) => own(from, record(game(), n, n === 2 ? holed : left(1 + n, 90))));
  await takeIn(db, from.actor, from.sessionId, events);
  const out = async (actor: Member, playerId: string) =>
    (await shotsOfPlayer(db, actor, playerId)).map((one) => ({ ...one, playerId: 'x', clubId: null }));
  const balls = await shotsOfPlayer(db, from.actor, from.playerId);
  const csv = writeShotTable(balls.map((one) => ({ shot: one, player: 'Otto', game: 'Two spots', gameVersion: 1 })));
  const into = await bring(to.actor, csv, { Otto: to.playerId });
  expect(into.step).toMatchObject({ kept: 6 });
  expect(await out(to.actor, to.playerId)).toEqual(await out(from.actor, from.playerId));
  // The game is there: it is scored as it was.
  const [was] = await finishedSessions(db, from.actor, 1);
  const [is] = (await finishedSessions(db, to.actor, 9)).filter(({ session: { importId } }) => importId !== null);
  expect(is!.outcome.scores.map(({ score }) => score)).toEqual(was!.outcome.scores.map(({ score }) => score));
  expect(is!.session).toMatchObject({ gameId: to.gameId, stoppedAt: null });
  expect(is!.session.completedAt).not.toBeNull();
  // It is not: the name is kept, and nothing is scored.
  await bring(bare.actor, csv.replaceAll('Two spots', 'Low Road'), { Otto: bare.playerId });
  const [plain] = (await finishedSessions(db, bare.actor, 9)).filter(({ session: { importId } }) => importId !== null);
  expect(plain!.session).toMatchObject({ gameId: null, title: 'Low Road' });
  expect(await out(bare.actor, bare.playerId)).toEqual(await out(from.actor, from.playerId));
});

test('results without balls count as results: of our game where its name and unit are, else as a plain number', async () => {
  const { actor, playerId, gameId } = await academy();
  await saveGame(db, actor, gameId, game({ title: 'Two spots', goal: 12 }));
  const rows = [
    'date,player,game,score,unit,notes',
    '2026-04-03,Otto,Two spots,14,points,windy',
    '2026-04-10,Otto,Two spots,9,,',
    '2026-04-10,Otto,Two spots,88,%,',
    '2026-04-11,Otto,Wall test,"7,5",s,',
    '2026-04-11,Otto,Wall test,"7,5",s,',
  ];
  const { step, importId } = await bring(actor, rows.join('\n'), { Otto: playerId });
  expect(step).toMatchObject({ kept: 4, known: 1 });
  const { lines } = await logbookPage(db, actor, { goal: 'met' }, { sort: 'newest', after: null, limit: 9 });
  expect(lines.map(({ outcome, balls }) => [outcome.scores[0], balls])).toEqual([[{ playerId, score: 14, met: true }, 0]]);
  const scores = await scoresOf(db, actor, playerId);
  expect(scores.map(({ score }) => score)).toEqual([14, 9]);
  const [later] = (await finishedSessions(db, actor, 9)).filter(({ session: { given, gameId: of } }) => given !== null && of === gameId);
  expect(await bestBefore(db, actor, later!.session, playerId)).toEqual({ score: 14, sessions: 1 });
  const plain = (await finishedSessions(db, actor, 9)).filter(({ session: { title } }) => title === 'Wall test');
  expect(plain).toMatchObject([{ session: { gameId: null, given: 's' }, outcome: { scores: [{ score: 7.5, met: null }] } }]);
  // Nobody records balls in a result, and rebuilding leaves it as it is.
  const before = await everything(actor);
  await rebuildShots(db, actor);
  expect((await everything(actor)).seats).toEqual(before.seats);
  await undoAll(actor, importId);
  expect(await scoresOf(db, actor, playerId)).toEqual([]);
});

test('an erased player takes their balls of a file with them, and rows that still stand aside', async () => {
  const { actor, playerId } = await academy();
  const { importId } = await bring(actor, NOTES, { Otto: playerId });
  const halfway = randomUUID();
  await send(actor, halfway, NOTES.replaceAll('2026', '2025'), { Otto: playerId, Mia: playerId });
  await erasePlayer(db, actor, playerId);
  expect(await db.$count(importRow, eq(importRow.academyId, actor.academyId))).toBe(0);
  const rest = await everything(actor);
  expect(rest.shots.map(({ shotType }) => shotType)).toEqual(['pitch']);
  await undoAll(actor, importId);
  expect((await everything(actor)).shots).toEqual([]);
});

test('the next file with the same columns is read in the same way; what names a player is not kept with it', async () => {
  const { actor, playerId } = await academy();
  const text = 'when,shot,metres,left in feet\n2026-05-03,chip,10,4';
  const file = new ImportFile(text);
  const change = {
    columns: { played_at: 0, shot_type: 1, distance: 2, left: 3 },
    units: { distance: 'm', left: 'ft' } as const,
    all: { player: 'Otto', surface: 'fringe' },
  };
  await bring(actor, text, { Otto: playerId }, change);
  const columns = file.names({ header: true });
  expect(await mappingFor(db, actor, columns)).toMatchObject({ ...change, all: { surface: 'fringe' } });
  expect(await mappingFor(db, actor, columns.toReversed())).toBeNull();
  expect(await mappingFor(db, (await academy()).actor, columns)).toBeNull();
});

test('a session that nobody can have played is refused, and the rest is kept', async () => {
  const { actor, playerId } = await academy();
  const long = Array.from({ length: 3001 }, (_, i) => `2026-05-03,Otto,putt,3,${1 + (i % 7)}`);
  const { step } = await bring(actor, ['date,player,shot,distance_yd,left_ft', ...long, '2026-05-04,Otto,putt,3,1'].join('\n'), {
    Otto: playerId,
  });
  expect(step).toMatchObject({ kept: 1, refused: 3001, left: 0 });
});

test('a single result is noted once, and only a noted one can be taken away', async () => {
  const { actor, playerId, gameId, sessionId } = await academy();
  const stranger = await academy();
  const id = randomUUID();
  const noted = { sessionId: id, playerId, playedAt: '2026-05-03T12:00:00Z', title: 'Two spots', score: 11, unit: '', note: 'windy' };
  expect(await addResult(db, actor, noted)).toBe(true);
  expect(await addResult(db, actor, { ...noted, score: 12 })).toBe(true);
  expect(await addResult(db, stranger.actor, noted)).toBe(false);
  expect((await scoresOf(db, actor, playerId)).map(({ score, session: of }) => [score, of.gameId])).toEqual([[11, gameId]]);
  await removeResult(db, stranger.actor, id);
  await removeResult(db, actor, sessionId);
  expect((await everything(actor)).sessions.map((one) => one.sessionId).toSorted()).toEqual([id, sessionId].toSorted());
  await removeResult(db, actor, id);
  expect(await scoresOf(db, actor, playerId)).toEqual([]);
});

test('rows of a file that was left lying for a week are cleared away, and so is a report whose link has ended', async () => {
  const { actor, playerId } = await academy();
  const [lying, fresh] = [randomUUID(), randomUUID()];
  for (const importId of [lying, fresh]) await send(actor, importId, NOTES, { Otto: playerId, Mia: playerId });
  const now = new Date();
  await db
    .update(importFile)
    .set({ createdAt: subDays(now, 8) })
    .where(and(eq(importFile.academyId, actor.academyId), eq(importFile.importId, lying)));
  const link = (expiresAt: Date) => ({ reportId: randomUUID(), report: PLAIN_REPORT, tokenHash: Buffer.from(randomUUID()), expiresAt });
  const [ended, holds] = [link(subDays(now, 1)), link(addDays(now, 1))];
  for (const one of [ended, holds]) expect(await keepReport(db, actor, playerId, one)).toBe(true);
  expect(await reportByToken(db, actor.academyId, ended.tokenHash, now)).toBeNull();
  expect((await reportByToken(db, actor.academyId, holds.tokenHash, now))!.report).toEqual(PLAIN_REPORT);
  await tidyUp(db, now);
  expect(await db.$count(importRow, eq(importRow.importId, lying))).toBe(0);
  expect(await db.$count(importRow, eq(importRow.importId, fresh))).toBe(5);
  expect((await reportsOf(db, actor, playerId, subDays(now, 3))).map(({ reportId }) => reportId)).toEqual([holds.reportId]);
  await revokeReport(db, actor, holds.reportId);
  expect(await reportByToken(db, actor.academyId, holds.tokenHash, now)).toBeNull();
});

test('sign-ins, links of e-mails and invitations that have ended are cleared away, and activity of more than a year', async () => {
  const { actor } = await academy();
  const now = new Date();
  const [userId, ago, ahead] = [actor.userId, subDays(now, 1), addDays(now, 1)];
  for (const [name, expiresAt] of [
    ['ended', ago],
    ['holds', ahead],
  ] as const) {
    const id = `${name} ${userId}`;
    await db.insert(authSession).values({ id, token: id, userId, expiresAt });
    await db.insert(authVerification).values({ id, identifier: id, value: 'x', expiresAt });
    await keepInvitation(db, actor, {
      ...{ invitationId: randomUUID(), email: `${name}-${actor.academyId}@test.example`, role: 'coach', groupIds: [] },
      ...{ tokenHash: Buffer.from(id), expiresAt },
    });
  }
  const line = { academyId: actor.academyId, actor: `user:${userId}`, what: 'savePlayer' };
  await db.insert(activity).values([
    { ...line, happenedAt: subDays(now, 367) },
    { ...line, happenedAt: subDays(now, 300) },
  ]);
  await tidyUp(db, now);
  const ids = async (table: typeof authSession | typeof authVerification) =>
    (await db.select({ id: table.id }).from(table)).map(({ id }) => id).filter((id) => id.endsWith(userId));
  expect([await ids(authSession), await ids(authVerification)]).toEqual([[`holds ${userId}`], [`holds ${userId}`]]);
  const { rows } = await db.execute(sql`select expires_at from invitation where academy_id = ${actor.academyId}`);
  expect(rows).toHaveLength(1);
  expect(await db.$count(activity, eq(activity.academyId, actor.academyId))).toBe(1);
});

test('rows that got lost while they stood aside are told of, and come in when the file is sent again', async () => {
  const { actor, playerId } = await academy();
  const importId = randomUUID();
  await send(actor, importId, NOTES, { Otto: playerId, Mia: playerId });
  await db.delete(importRow).where(and(eq(importRow.academyId, actor.academyId), sql`line > 4`));
  expect(await keepRows(db, actor, importId)).toMatchObject({ kept: 3, left: 2, lost: 0 });
  expect(await keepRows(db, actor, importId)).toMatchObject({ kept: 3, left: 0, lost: 2 });
  expect((await bring(actor, NOTES, { Otto: playerId, Mia: playerId })).step).toMatchObject({ kept: 2, known: 3, lost: 0 });
});

test('rows that can’t be stored are refused with their line, and leave no trace', async () => {
  const { actor, playerId } = await academy();
  const importId = randomUUID();
  const columns = ['player', 'played_at', 'game', 'score'];
  const mapping = { version: 1, kind: 'scores', header: true, columns: {}, all: {}, units: {}, dates: null } as const;
  await startImport(db, actor, { importId, kind: 'scores', fileName: 'x.csv', columns, mapping, players: [] });
  const before = await getImport(db, actor, importId);
  const send = (...cells: string[]) => stageRows(db, actor, importId, { columns, rows: [{ line: 7, cells }] });
  for (const game of [`a${String.fromCharCode(0)}b`, 'half of a pair: \ud83c', 'x'.repeat(81)])
    expect(await send(playerId, '2026-05-03T12:00:00Z', game, '3')).toMatchObject([{ line: 7, column: 'game' }]);
  expect(await send('nobody', '2026-05-03T12:00:00Z', 'Wall test', '3')).toMatchObject([{ line: 7, column: 'player' }]);
  expect(await getImport(db, actor, importId)).toEqual(before);
  expect(await db.$count(importRow, eq(importRow.importId, importId))).toBe(0);
});

test('rows that are sent once more are there once', async () => {
  const { actor, playerId } = await academy();
  const importId = randomUUID();
  await send(actor, importId, NOTES, { Otto: playerId, Mia: playerId });
  await send(actor, importId, NOTES, { Otto: playerId, Mia: playerId });
  expect(await getImport(db, actor, importId)).toMatchObject({ rows: 5 });
  expect(await keepAll(actor, importId)).toMatchObject({ kept: 5, known: 0 });
});

test('two who keep the same file at once keep it once', async () => {
  const { actor, playerId } = await academy();
  const importId = randomUUID();
  await send(actor, importId, NOTES, { Otto: playerId });
  await Promise.all([keepAll(actor, importId), keepAll(actor, importId)]);
  const [sum] = await db.select({ balls: count() }).from(shot).where(eq(shot.academyId, actor.academyId));
  expect(sum!.balls).toBe(5);
  const [row] = await db
    .select()
    .from(importFile)
    .where(and(eq(importFile.academyId, actor.academyId), sql`kept = 5`));
  expect(row!.state).toBe('kept');
});

test('an id made of words is one that can be stored, and always the same', () => {
  expect(idFrom('a', 1)).toBe(idFrom('a', 1));
  expect(idFrom('a', 1)).not.toBe(idFrom('a1'));
  expect(idFrom('x')).toMatch(/^[0-9a-f]{8}-[0-9a-f]{4}-8[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/);
});
