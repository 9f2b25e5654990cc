import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { and, asc, eq } from 'drizzle-orm';
import { newPlayer } from '@/core/people/player';
import type { ShotEvent } from '@/core/shot/shot';
import { gameStations } from '@/core/green/game';
import type { Point } from '@/core/geometry/point';
import { between, game, holed, idOf, left, record, voidOf } from '@/core/testing/make';
import { green, standing } from '@/core/testing/make-green';
import type { Member } from '../actor';
import { openDb } from '../client';
import { authMember, gameVersion, player, session, shot, shotEvent } from '../schema';
import { academies, own } from '../testing/academy';
import { memberIn, memberOfSession, homeOf } from './academies';
import { same } from './same';
import { archiveGame, findGame, getGame, listGames, saveGame } from './games';
import { saveGroup } from './groups';
import { archiveGreen, gamesOnGreen, getGreen, listGreens, saveGreen } from './greens';
import { bagOf, saveSwingMarks, getPlayer, listPlayers, savePlayer } from './players';
import {
  bestBefore,
  finishedSessions,
  getSession,
  resumeSession,
  scoresOf,
  startSession,
  stopSession,
  countUnfinished,
  unfinishedSessions,
} from './sessions';
import { rebuildShots } from './projection';
import { shotsOfPlayer, shotsOfSessions } from './shots';
import { takeIn } from './take-in';

const { db, pool, academy } = academies('queries', 0);
afterAll(() => pool.end());
const rowsOf = (actor: Member) => db.select().from(shot).where(eq(shot.academyId, actor.academyId)).orderBy(asc(shot.shotId));

test('what a device sends is stored once, however often it is sent', async () => {
  const at = await academy();
  const events = [left(2), between(3, 6), holed].map((result, turn) => own(at, record(game(), turn, result)));
  expect(await takeIn(db, at.actor, at.sessionId, events)).toEqual({ stored: 3, known: 0, refused: [] });
  expect(await takeIn(db, at.actor, at.sessionId, events)).toEqual({ stored: 0, known: 3, refused: [] });
  expect(await takeIn(db, at.actor, at.sessionId, [...events, own(at, record(game(), 3, left(9)))])).toMatchObject({ stored: 1, known: 3 });
  const shots = await shotsOfSessions(db, at.actor, [at.sessionId]);
  expect(shots.map((one) => one.turnNo)).toEqual([0, 1, 2, 3]);
  expect(shots.map(({ leftM, leftMinM, leftMaxM, holed: inHole }) => [leftM, leftMinM, leftMaxM, inHole])).toEqual([
    [0.6096, null, null, false],
    [null, 0.9144, 1.8288, false],
    [null, null, null, true],
    [2.7432, null, null, false],
  ]);
});

test('the same batch from two connections at once is stored once', async () => {
  const at = await academy();
  const events = Array.from({ length: 6 }, (_, turn) => own(at, record(game(), turn, left(5))));
  const stored = await Promise.all([1, 2, 3].map(() => takeIn(db, at.actor, at.sessionId, events)));
  expect(stored.reduce((sum, taken) => sum + taken.stored, 0)).toBe(6);
  expect(await rowsOf(at.actor)).toHaveLength(6);
});

test('a rebuild from the events alone gives the same rows, to the last field', async () => {
  const at = await academy();
  const events = Array.from({ length: 6 }, (_, turn) => own(at, record(game(), turn, turn % 2 ? left(turn + 1) : between(3, 6))));
  const amended: ShotEvent = { ...own(at, voidOf(record(game(), 1, holed), 9)), kind: 'amend', payload: { leftM: 1.5, mishit: 'fat' } };
  await takeIn(db, at.actor, at.sessionId, events.slice(0, 3));
  await takeIn(db, at.actor, at.sessionId, [amended, own(at, voidOf(record(game(), 2, holed), 2)), ...events.slice(3)]);
  const before = await rowsOf(at.actor);
  const sessionBefore = await getSession(db, at.actor, at.sessionId);
  expect(before).toHaveLength(5);
  expect(before.find((row) => row.turnNo === 1)).toMatchObject({ leftM: 1.5, mishit: 'fat' });

  await db.delete(shot).where(eq(shot.academyId, at.actor.academyId));
  await db.update(session).set({ completedAt: new Date() }).where(eq(session.academyId, at.actor.academyId));
  expect(await rebuildShots(db, at.actor)).toBe(5);
  expect(await rowsOf(at.actor)).toEqual(before);
  expect((await getSession(db, at.actor, at.sessionId))?.session).toEqual(sessionBefore?.session);
});

test('a session is complete with its last ball, and open again when that is taken back', async () => {
  const at = await academy();
  const events = Array.from({ length: 6 }, (_, turn) => own(at, record(game(), turn, left(5))));
  const open = async () => (await unfinishedSessions(db, at.actor, 10)).length;
  const begun = () => countUnfinished(db, at.actor, { withBalls: true });
  // Opened, and nobody has hit a ball: that is nothing to go on with.
  expect([await open(), await begun(), await countUnfinished(db, at.actor)]).toEqual([1, 0, 1]);
  await takeIn(db, at.actor, at.sessionId, events.slice(0, 5));
  expect([await open(), await begun(), await countUnfinished(db, at.actor)]).toEqual([1, 1, 1]);
  const of = async (gameId: string) => (await unfinishedSessions(db, at.actor, 10, { gameId })).length;
  expect([await of(at.gameId), await of(idOf(79))]).toEqual([1, 0]);
  await takeIn(db, at.actor, at.sessionId, events.slice(5));
  expect([await open(), (await finishedSessions(db, at.actor, 10))[0]?.balls]).toEqual([0, 6]);
  await takeIn(db, at.actor, at.sessionId, [own(at, voidOf(record(game(), 5, left(5)), 5))]);
  expect(await open()).toBe(1);
});

test('stopping a session keeps its balls, and can be taken back', async () => {
  const at = await academy();
  await takeIn(db, at.actor, at.sessionId, [own(at, record(game(), 0, left(5)))]);
  await stopSession(db, at.actor, at.sessionId);
  expect([(await unfinishedSessions(db, at.actor, 10)).length, (await finishedSessions(db, at.actor, 10)).length]).toEqual([0, 1]);
  expect(await shotsOfPlayer(db, at.actor, at.playerId)).toHaveLength(1);
  await resumeSession(db, at.actor, at.sessionId);
  expect(await unfinishedSessions(db, at.actor, 10)).toHaveLength(1);
});

test('one academy finds nothing of another, and can write nothing into it', async () => {
  const [mine, theirs] = [await academy(), await academy()];
  await takeIn(db, theirs.actor, theirs.sessionId, [own(theirs, record(game(), 0, left(5)))]);
  expect(await getPlayer(db, mine.actor, theirs.playerId)).toBeNull();
  expect(await getGame(db, mine.actor, theirs.gameId)).toBeNull();
  expect(await getSession(db, mine.actor, theirs.sessionId)).toBeNull();
  expect(await shotsOfSessions(db, mine.actor, [theirs.sessionId])).toEqual([]);
  expect(await shotsOfPlayer(db, mine.actor, theirs.playerId)).toEqual([]);
  expect((await listPlayers(db, mine.actor)).map((row) => row.player.playerId)).toEqual([mine.playerId]);
  expect((await listGames(db, mine.actor)).map((row) => row.gameId)).toEqual([mine.gameId]);
  expect(await startSession(db, mine.actor, idOf(77), mine.gameId, [{ playerId: theirs.playerId, allowance: 0 }])).toBe(false);
  expect(await startSession(db, mine.actor, idOf(78), theirs.gameId, [{ playerId: mine.playerId, allowance: 0 }])).toBe(false);
  expect(await takeIn(db, mine.actor, theirs.sessionId, [own(theirs, record(game(), 1, left(5)))])).toMatchObject({
    stored: 0,
    refused: [{ why: 'There is no such session.' }],
  });
  await stopSession(db, mine.actor, theirs.sessionId);
  expect(await unfinishedSessions(db, theirs.actor, 10)).toHaveLength(1);
  expect(await memberIn(db, mine.actor.userId, `queries-${theirs.n}`)).toBeNull();
  expect(await memberOfSession(db, mine.actor.userId, theirs.sessionId)).toBeNull();
});

test('of a batch with a ball of another session or of a stranger the rest is stored, and why is said of each', async () => {
  const at = await academy();
  const other = idOf(at.n * 100_000 + 50);
  await startSession(db, at.actor, other, at.gameId, [{ playerId: at.playerId, allowance: 0 }]);
  await takeIn(db, at.actor, at.sessionId, [own(at, record(game(), 0, left(5)))]);
  const good = own(at, record(game(), 1, left(5)), other);
  const foreignShot = own(at, voidOf(record(game(), 0, left(5)), 0), other);
  const stranger = own(at, record(game(), 2, left(5)), other);
  const payload = { ...(stranger.payload as object), playerId: idOf(1) };
  const correction = { ...voidOf(stranger, at.n * 1000 + 7), sessionId: other, kind: 'amend', payload: { leftM: 1 } } as ShotEvent;
  const batch = [foreignShot, { ...stranger, payload } as ShotEvent, correction, good];
  expect(await takeIn(db, at.actor, other, batch)).toEqual({
    stored: 1,
    known: 0,
    refused: [
      { eventId: foreignShot.eventId, why: 'This ball is of another session.' },
      { eventId: stranger.eventId, why: 'Its player is not in this session.' },
      // Nothing can be said of a ball that was not taken in.
      { eventId: correction.eventId, why: 'Its player is not in this session.' },
    ],
  });
  expect((await shotsOfSessions(db, at.actor, [other])).map(({ turnNo }) => turnNo)).toEqual([1]);
});

test('a game without results is replaced, one with results becomes a new version', async () => {
  const at = await academy();
  const changed = game({ title: 'Changed' });
  expect(await saveGame(db, at.actor, at.gameId, game())).toBe(1);
  expect(await saveGame(db, at.actor, at.gameId, changed)).toBe(2);
  expect(await saveGame(db, at.actor, at.gameId, game({ title: 'Changed again' }))).toBe(2);
  expect((await getGame(db, at.actor, at.gameId))?.spec.title).toBe('Changed again');
  expect((await getSession(db, at.actor, at.sessionId))?.session.spec.title).toBe('Two spots');
});

test('equal games have equal hashes, whatever the order of their keys', () => {
  const spec = game();
  const turned = Object.fromEntries(Object.entries(spec).reverse()) as typeof spec;
  expect(same(turned, spec)).toBe(true);
  expect(same(game({ goal: 3 }), spec)).toBe(false);
});

test('balls are counted, not records: several that were entered as one total are several', async () => {
  const at = await academy();
  const total = { ...left(3), leftM: null, nBalls: 3, sumLeftM: 4 };
  await takeIn(db, at.actor, at.sessionId, [own(at, record(game(), 0, left(2))), own(at, record(game(), 1, total))]);
  expect((await listPlayers(db, at.actor)).map(({ balls }) => balls)).toEqual([4]);
  expect((await unfinishedSessions(db, at.actor, 10)).map(({ balls }) => balls)).toEqual([4]);
});

test('the best is that of earlier complete sessions of the same version', async () => {
  const at = await academy();
  const later = idOf(at.n * 100_000 + 60);
  await takeIn(
    db,
    at.actor,
    at.sessionId,
    Array.from({ length: 6 }, (_, turn) => own(at, record(game(), turn, left(2)))),
  );
  await startSession(db, at.actor, later, at.gameId, [{ playerId: at.playerId, allowance: 0 }]);
  const row = (await getSession(db, at.actor, later))!.session;
  expect(await bestBefore(db, at.actor, row, at.playerId)).toEqual({ score: 24, sessions: 1 });
  const first = (await getSession(db, at.actor, at.sessionId))!.session;
  expect(await bestBefore(db, at.actor, first, at.playerId)).toBeNull();

  // The second time is worse, and says so; one ball corrected, and it is the best so far.
  const balls = Array.from({ length: 6 }, (_, turn) => own(at, record(game(), turn, left(turn === 0 ? 9 : 2), 20 + turn), later));
  await takeIn(db, at.actor, later, balls);
  const lines = async () => (await finishedSessions(db, at.actor, 10)).map(({ before }) => before);
  expect(await lines()).toEqual([{ score: 21, last: 24, best: 24 }, null]);
  const better: ShotEvent = {
    ...own(at, voidOf(record(game(), 0, holed, 20), 40), later),
    kind: 'amend',
    payload: { leftM: null, holed: true },
  };
  await takeIn(db, at.actor, later, [better]);
  expect(await lines()).toEqual([{ score: 26, last: 24, best: 24 }, null]);
});

test('time that is over ends a game: what was scored until then counts, a ball that comes late too, and going on takes it back', async () => {
  const at = await academy();
  const spec = game({ rules: { ...game().rules, timeLimitS: 60 } });
  await db.update(session).set({ spec }).where(eq(session.academyId, at.actor.academyId));
  const scores = async () => (await scoresOf(db, at.actor, at.playerId)).map(({ score }) => score);
  await takeIn(db, at.actor, at.sessionId, [own(at, record(spec, 0, left(2)))]);
  expect(await scores()).toEqual([]);
  await stopSession(db, at.actor, at.sessionId);
  expect(await scores()).toEqual([4]);
  await takeIn(db, at.actor, at.sessionId, [own(at, record(spec, 1, left(2)))]);
  expect(await scores()).toEqual([8]);
  await resumeSession(db, at.actor, at.sessionId);
  expect(await scores()).toEqual([]);
});

test('who belongs to an academy and does not work in it gets in nowhere; whoever does is there as what they are', async () => {
  const [at, other] = [await academy(), await academy()];
  const { userId } = other.actor;
  await db.delete(authMember).where(eq(authMember.userId, userId));
  await db.insert(authMember).values({ id: `guest-${at.n}`, organizationId: at.actor.academyId, userId, role: 'member' });
  const slug = `queries-${at.n}`;
  expect([await memberIn(db, userId, slug), await memberOfSession(db, userId, at.sessionId), await homeOf(db, userId)]).toEqual([
    null,
    null,
    null,
  ]);
  expect((await memberIn(db, at.actor.userId, slug))?.actor).toEqual(at.actor);
  const as = async (role: 'coach' | 'assistant') => {
    await db.update(authMember).set({ role }).where(eq(authMember.userId, userId));
    return [(await memberIn(db, userId, slug))?.actor, (await memberOfSession(db, userId, at.sessionId))?.actor];
  };
  const { academyId } = at.actor;
  const coach = { kind: 'coach', academyId, userId };
  expect(await as('coach')).toEqual([coach, coach]);
  // An assistant is there for the players of their groups, and sees no session of others.
  expect(await as('assistant')).toEqual([{ ...coach, kind: 'assistant', players: [] }, undefined]);
  await saveGroup(db, at.actor, idOf(at.n * 100_000 + 70), { name: 'Juniors', playerIds: [at.playerId], userIds: [userId] });
  const assistant = { ...coach, kind: 'assistant', players: [at.playerId] };
  expect(await as('assistant')).toEqual([assistant, assistant]);
  expect(await homeOf(db, at.actor.userId)).toBe(slug);
});

test('the program waits for its database so long and no longer; a migration may take its time', async () => {
  const names = ['statement_timeout', 'lock_timeout', 'idle_in_transaction_session_timeout'];
  const limits = async (patient: boolean) => {
    const one = openDb(process.env.TEST_DATABASE_URL!, { patient });
    const { rows } = await one.pool.query<{ setting: string }>('select setting from pg_settings where name = any($1) order by name', [
      names,
    ]);
    await one.pool.end();
    return rows.map(({ setting }) => Number(setting) / 1000);
  };
  expect([await limits(false), await limits(true)]).toEqual([
    [10, 10, 15],
    [0, 0, 0],
  ]);
});

test('new evidence moves the player’s revision, a repeated batch does not', async () => {
  const at = await academy();
  const revision = async () => (await db.select().from(player).where(eq(player.playerId, at.playerId)))[0]!.evidenceRev;
  const events = [own(at, record(game(), 0, left(5)))];
  await takeIn(db, at.actor, at.sessionId, events);
  await takeIn(db, at.actor, at.sessionId, events);
  expect(await revision()).toBe(1);
  await takeIn(db, at.actor, at.sessionId, [own(at, voidOf(record(game(), 0, left(5)), 0))]);
  expect(await revision()).toBe(2);
  await takeIn(db, at.actor, at.sessionId, [own(at, record(game(), 1, left(5)))]);
  await rebuildShots(db, at.actor);
  // What was believed before a rebuild was believed of other rows.
  expect(await revision()).toBeGreaterThan(3);
  expect(await db.$count(shotEvent, eq(shotEvent.academyId, at.actor.academyId))).toBe(3);
});

test('there is no query without an actor, but for those that find out who somebody is, and what is due', () => {
  const finders = [
    'tidyUp',
    'forgetOld',
    'memberIn',
    'memberOf',
    'memberOfSession',
    'homeOf',
    'workplacesOf',
    'childrenOf',
    'guardianIn',
    'holderOfLink',
    'holderOfToken',
    'invitationByToken',
    'takeInvitation',
    'reportByToken',
    'sessionOfReader',
  ];
  const folder = join(__dirname);
  const exported = readdirSync(folder)
    .filter((file) => file.endsWith('.ts') && !file.endsWith('.test.ts'))
    .flatMap((file) => [...readFileSync(join(folder, file), 'utf8').matchAll(/export async function (\w+)\(([^)]*)\)/g)]);
  expect(exported.length).toBeGreaterThan(15);
  for (const [, name, parameters] of exported)
    if (!finders.includes(name!)) expect([name, /^\s*db: Db,\s*_?actor: Actor/.test(parameters!)]).toEqual([name, true]);
});

describe('games of every kind', () => {
  test('a game put away is not offered, keeps its results, and comes back', async () => {
    const { actor, gameId } = await academy();
    await archiveGame(db, actor, gameId, true);
    expect([(await listGames(db, actor)).length, (await listGames(db, actor, true)).map((row) => row.gameId)]).toEqual([0, [gameId]]);
    expect((await getGame(db, actor, gameId))?.archivedAt).not.toBeNull();
    expect(await findGame(db, actor, game())).toBeNull();
    await archiveGame(db, actor, gameId, false);
    expect(await findGame(db, actor, game())).toBe(gameId);
    expect(await findGame(db, actor, game({ title: 'Another' }))).toBeNull();
  });

  test('another academy’s game is not put away', async () => {
    const [one, two] = [await academy(), await academy()];
    await archiveGame(db, two.actor, one.gameId, true);
    expect((await getGame(db, one.actor, one.gameId))?.archivedAt).toBeNull();
  });

  test('a session takes from each player what the game needs, once', async () => {
    const { actor, playerId, n } = await academy();
    const spec = game({ scoring: { scheme: 'hits', radiusM: 0.889 }, sizes: { unit: 'club', of: 'player', fixedM: null, scaled: true } });
    const [gameId, sessionId] = [idOf(n * 100_000 + 7), idOf(n * 100_000 + 8)];
    await saveGame(db, actor, gameId, spec);
    await savePlayer(db, actor, playerId, { ...newPlayer('Otto', 'imperial'), level: 28, clubM: 1.1 });
    await startSession(db, actor, sessionId, gameId, [{ playerId, allowance: 1.5 }]);
    await savePlayer(db, actor, playerId, { ...newPlayer('Otto', 'imperial'), level: 5, clubM: 0.9 });
    expect((await getSession(db, actor, sessionId))!.entrants).toEqual([{ playerId, level: 28, unitM: 1.1, scale: 1.85, allowance: 1.5 }]);
  });

  test('a duel is not started by one', async () => {
    const { actor, playerId, n } = await academy();
    const spec = game({ scoring: { scheme: 'nearest_wins', firstTo: 3, ties: 'nobody', callPoints: null, farM: 9 } });
    const gameId = idOf(n * 100_000 + 7);
    await saveGame(db, actor, gameId, spec);
    expect(await startSession(db, actor, idOf(n * 100_000 + 8), gameId, [{ playerId, allowance: 0 }])).toBe(false);
  });

  test('the favourite is the club with most balls on record', async () => {
    const made = await academy();
    const { actor, playerId, sessionId } = made;
    expect(await bagOf(db, actor, playerId)).toEqual({ clubs: [], favourite: null, marks: [] });
    await saveSwingMarks(db, actor, playerId, ['hip', 'chest']);
    expect((await bagOf(db, actor, playerId)).marks).toEqual(['hip', 'chest']);
    const clubs = ['54°', 'PW', '54°'].map((clubLabel, turn) => own(made, record(game(), turn, { ...left(4), clubLabel })));
    await takeIn(db, actor, sessionId, clubs);
    expect((await bagOf(db, actor, playerId)).favourite).toBe('54°');
  });
});

/** A green with two stations, and a game on it, in an academy of its own. */
async function onGreen() {
  const at = await academy();
  const [greenId, gameId] = [idOf(at.n * 100_000 + 7), idOf(at.n * 100_000 + 8)];
  const plan = (first: Point, more = {}) => green({ stations: [standing('s1', first), standing('s2', [20, 0], 'h2')], ...more });
  await saveGreen(db, at.actor, greenId, plan([0, -20]));
  const spec = game({ title: 'On it', stations: gameStations(plan([0, -20]), 'imperial', 3) });
  await saveGame(db, at.actor, gameId, spec, greenId);
  const distances = async () => (await getGame(db, at.actor, gameId))!.spec.stations.map((one) => one.distanceM);
  return { ...at, greenId, gameId, plan, spec, distances };
}

test('a game on a green follows it: in place before it was played, as a new version after', async () => {
  const { actor, greenId, gameId, plan, playerId, n, distances } = await onGreen();
  expect(await getGame(db, actor, gameId)).toMatchObject({ version: 1, greenId, greenVersion: 1 });
  expect(await distances()).toEqual([20, 12]);
  expect(await saveGreen(db, actor, greenId, plan([0, -25]))).toMatchObject({
    version: 1,
    followed: [{ title: 'On it', version: 1, isNew: false }],
    kept: [],
  });
  expect(await distances()).toEqual([25, 12]);
  const sessionId = idOf(n * 100_000 + 9);
  await startSession(db, actor, sessionId, gameId, [{ playerId, allowance: 0 }]);
  expect((await getSession(db, actor, sessionId))!.session).toMatchObject({ greenId, greenVersion: 1, conditions: {} });
  expect(await saveGreen(db, actor, greenId, plan([0, -18], { stimpFt: 9, firmness: 'firm' }))).toMatchObject({
    version: 2,
    followed: [{ title: 'On it', version: 2, isNew: true }],
    kept: [],
  });
  expect(await distances()).toEqual([18, 12]);
  // What was played stays as it was played.
  expect((await getSession(db, actor, sessionId))!.session.spec.stations[0]!.distanceM).toBe(25);
  expect((await getGreen(db, actor, greenId, 1))!.plan.stations[0]!.at).toEqual([0, -25]);
  const later = idOf(n * 100_000 + 10);
  await startSession(db, actor, later, gameId, [{ playerId, allowance: 0 }]);
  expect((await getSession(db, actor, later))!.session).toMatchObject({ greenVersion: 2, conditions: { stimpFt: 9, firmness: 'firm' } });
});

test('a change of the green that a game does not feel leaves its version; saving twice changes nothing', async () => {
  const { actor, greenId, gameId, plan, playerId, n } = await onGreen();
  await startSession(db, actor, idOf(n * 100_000 + 9), gameId, [{ playerId, allowance: 0 }]);
  const wider = plan([0, -20], { fringeM: 2 });
  expect(await saveGreen(db, actor, greenId, wider)).toMatchObject({ version: 2, followed: [], kept: [] });
  expect(await getGame(db, actor, gameId)).toMatchObject({ version: 1, greenVersion: 2 });
  expect(await saveGreen(db, actor, greenId, wider)).toMatchObject({ version: 2, followed: [], kept: [] });
});

test('a game that cannot follow keeps its stations, and that is said; a station that goes leaves the game on its own', async () => {
  const { actor, greenId, gameId, plan, distances } = await onGreen();
  expect((await saveGreen(db, actor, greenId, plan([0, -120])))!.kept).toEqual([
    { title: 'On it', reason: expect.stringContaining('at most 100 yd') as string },
  ]);
  expect(await distances()).toEqual([20, 12]);
  const bare = green({ stations: [] });
  expect((await saveGreen(db, actor, greenId, bare))!.followed).toHaveLength(1);
  expect(await getGame(db, actor, gameId)).toMatchObject({
    greenId: null,
    spec: { stations: [{ place: null, distanceM: 20 }, { place: null }] },
  });
  expect(await gamesOnGreen(db, actor, greenId)).toEqual([]);
});

test('greens are listed by name, put away and brought back, and never met by another academy', async () => {
  const { actor, greenId, plan, gameId, spec } = await onGreen();
  const other = await academy();
  await saveGreen(db, actor, idOf(other.n * 100_000 + 70), { ...green(), title: 'Alder' });
  expect((await listGreens(db, actor)).map((row) => row.plan.title)).toEqual(['Alder', 'Square']);
  await archiveGreen(db, actor, greenId, true);
  expect((await listGreens(db, actor)).map((row) => row.plan.title)).toEqual(['Alder']);
  expect((await listGreens(db, actor, true)).map((row) => row.greenId)).toEqual([greenId]);
  await archiveGreen(db, actor, greenId, false);
  expect(await getGreen(db, other.actor, greenId)).toBeNull();
  expect(await listGreens(db, other.actor)).toEqual([]);
  await archiveGreen(db, other.actor, greenId, true);
  await saveGreen(db, other.actor, greenId, plan([0, -40]));
  expect((await getGreen(db, actor, greenId))!.archivedAt).toBeNull();
  expect((await getGreen(db, actor, greenId))!.plan.stations[0]!.at).toEqual([0, -20]);
  // A game that names another academy's green stands on none.
  const stolen = idOf(other.n * 100_000 + 71);
  await saveGame(db, other.actor, stolen, spec, idOf(1));
  expect(await getGame(db, other.actor, stolen)).toMatchObject({ greenId: null });
  expect(await gamesOnGreen(db, other.actor, greenId)).toEqual([]);
  expect((await gamesOnGreen(db, actor, greenId)).map((row) => row.gameId)).toEqual([gameId]);
});

test('a green that was changed elsewhere meanwhile is not written over', async () => {
  const { actor, greenId, plan } = await onGreen();
  const opened = (await getGreen(db, actor, greenId))!.createdAt;
  const first = await saveGreen(db, actor, greenId, plan([0, -22]), opened);
  expect(first).toMatchObject({ version: 1 });
  // Another tab still has the plan as it was opened; the first one goes on from what it saved.
  expect(await saveGreen(db, actor, greenId, plan([0, -30]), opened)).toBeNull();
  expect(await saveGreen(db, actor, greenId, plan([0, -30]), null)).toBeNull();
  expect((await getGreen(db, actor, greenId))!.plan.stations[0]!.at).toEqual([0, -22]);
  expect(await saveGreen(db, actor, greenId, plan([0, -22]), opened)).toMatchObject({ version: 1 });
  expect(await saveGreen(db, actor, greenId, plan([0, -24]), first!.savedAt)).toMatchObject({ version: 1 });
});

describe('two who change the same', () => {
  test('the second to save a game is told, and what the first saved stays', async () => {
    const at = await academy();
    const opened = (await getGame(db, at.actor, at.gameId))!.createdAt;
    const [first, second] = [game({ title: 'First' }), game({ title: 'Second' })];
    expect(await saveGame(db, at.actor, at.gameId, first, null, opened)).toBe(2);
    expect(await saveGame(db, at.actor, at.gameId, second, null, opened)).toBeNull();
    expect((await getGame(db, at.actor, at.gameId))!.spec.title).toBe('First');
    // The same sent twice is no change, and whoever looks again may change it.
    expect(await saveGame(db, at.actor, at.gameId, first, null, opened)).toBe(2);
    const again = (await getGame(db, at.actor, at.gameId))!.createdAt;
    expect(await saveGame(db, at.actor, at.gameId, second, null, again)).toBe(2);
    // A new game under an id that is taken changes nothing.
    expect(await saveGame(db, at.actor, at.gameId, first, null, null)).toBeNull();
  });

  test('of ten who save a game at once one is first, and the others are told', async () => {
    const at = await academy();
    const opened = (await getGame(db, at.actor, at.gameId))!.createdAt;
    const saved = await Promise.all(
      Array.from({ length: 10 }, (_, i) => saveGame(db, at.actor, at.gameId, game({ title: `Change ${i}` }), null, opened)),
    );
    expect(saved.filter((version) => version !== null)).toEqual([2]);
  });

  test('the second to save a player is told, and what the first saved stays', async () => {
    const at = await academy();
    const opened = (await getPlayer(db, at.actor, at.playerId))!.player.savedAt;
    const form = newPlayer('Otto', 'imperial');
    expect(await savePlayer(db, at.actor, at.playerId, { ...form, level: 5 }, opened)).toBe('saved');
    expect(await savePlayer(db, at.actor, at.playerId, { ...form, level: 9 }, opened)).toBe('changed elsewhere');
    expect(await savePlayer(db, at.actor, at.playerId, { ...form, level: 5 }, opened)).toBe('saved');
    expect((await getPlayer(db, at.actor, at.playerId))!.player.level).toBe(5);
    const now = (await getPlayer(db, at.actor, at.playerId))!.player.savedAt;
    expect(await savePlayer(db, at.actor, at.playerId, { ...form, level: 9 }, now)).toBe('saved');
  });

  test('a session that starts while its game is saved keeps the version with which it was started', async () => {
    const at = await academy();
    const gameId = idOf(at.n * 100_000 + 80);
    await saveGame(db, at.actor, gameId, game({ title: 'Before' }));
    const sessions = Array.from({ length: 15 }, (_, i) => idOf(at.n * 100_000 + 81 + i));
    await Promise.all(
      sessions.flatMap((sessionId, i) => [
        saveGame(db, at.actor, gameId, game({ title: `Change ${i}` })),
        startSession(db, at.actor, sessionId, gameId, [{ playerId: at.playerId, allowance: 0 }]),
      ]),
    );
    const rows = await db
      .select({ played: session.spec, written: gameVersion.spec })
      .from(session)
      .innerJoin(
        gameVersion,
        and(
          eq(gameVersion.academyId, session.academyId),
          eq(gameVersion.gameId, session.gameId),
          eq(gameVersion.version, session.gameVersion),
        ),
      )
      .where(and(eq(session.academyId, at.actor.academyId), eq(session.gameId, gameId)));
    expect(rows).toHaveLength(15);
    for (const { played, written } of rows) expect(written.title).toBe(played.title);
  });
});
