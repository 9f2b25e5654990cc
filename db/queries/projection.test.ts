import { and, asc, eq } from 'drizzle-orm';
import { newPlayer } from '@/core/people/player';
import { readEvents } from '@/core/shot/read-event';
import { EVENT_VERSION } from '@/core/shot/read-event';
import type { ShotEvent } from '@/core/shot/shot';
import { turnsOf } from '@/core/game/turn';
import { game, idOf, left, record, recordTurn, station, voidOf } from '@/core/testing/make';
import { openDb } from '../client';
import { player, session, shot, shotEvent } from '../schema';
import { academies, own } from '../testing/academy';
import { saveGame } from './games';
import { listPlayers, savePlayer } from './players';
import { rebuildShots } from './projection';
import { finishedSessions, getSession, saveConditions, saveConditionsToday, saveStationDistance, startSession } from './sessions';
import { eventsOfSession, sessionLog } from './shots';
import { takeIn, takeInAll } from './take-in';

const { db, pool, academy } = academies('projection', 5000);
afterAll(() => pool.end());

type At = Awaited<ReturnType<typeof academy>>;
const rowsOf = (academyId: string) => db.select().from(shot).where(eq(shot.academyId, academyId)).orderBy(asc(shot.shotId));
const playersOf = (academyId: string) =>
  db
    .select({ name: player.name, balls: player.balls, lastAt: player.lastAt })
    .from(player)
    .where(eq(player.academyId, academyId))
    .orderBy(asc(player.playerId));
const sessionsOf = (academyId: string) => db.select().from(session).where(eq(session.academyId, academyId)).orderBy(asc(session.sessionId));

/** Everything derived of an academy, before and after it is made anew from the events. */
async function rebuilt({ actor }: Pick<At, 'actor'>) {
  const { academyId } = actor;
  const look = async () => ({ shots: await rowsOf(academyId), sessions: await sessionsOf(academyId), players: await playersOf(academyId) });
  const before = await look();
  await db.delete(shot).where(eq(shot.academyId, academyId));
  await db.update(session).set({ balls: 7, overFrom: null, completedAt: null }).where(eq(session.academyId, academyId));
  await db.update(player).set({ balls: 7, lastAt: null }).where(eq(player.academyId, academyId));
  await rebuildShots(db, actor);
  return { before, after: await look() };
}

/** `overFrom` says when to look next: what was looked at later may know it better, and never sees it too late. */
const withoutLook = ({ shots, players, sessions }: Awaited<ReturnType<typeof rebuilt>>['before']) => ({
  shots,
  players,
  sessions: sessions.map(({ overFrom: _later, ...row }) => row),
});

test('balls are counted as they come, those of a total each by itself', async () => {
  const at = await academy();
  const ago = (minutes: number) => new Date(Date.now() - minutes * 60_000);
  await db
    .update(session)
    .set({ startedAt: ago(60) })
    .where(eq(session.sessionId, at.sessionId));
  const playedAgo = (minutes: number, event: ShotEvent) =>
    own(at, { ...event, payload: { ...event.payload, playedAt: ago(minutes).toISOString() } } as ShotEvent);
  const total = playedAgo(20, record(game(), 0, { ...left(1), leftM: null, nBalls: 3, sumLeftM: 4 }, 40));
  const ball = playedAgo(10, record(game(), 3, left(2), 41));
  /** Of the session, and of the player, with when the last was played. */
  const balls = async () => {
    const [mine] = (await listPlayers(db, at.actor)) as [Awaited<ReturnType<typeof listPlayers>>[number]];
    return [(await getSession(db, at.actor, at.sessionId))!.session.balls, mine.balls, mine.lastAt];
  };
  const playedAt = async (n: number) => (await rowsOf(at.actor.academyId)).find(({ turnNo }) => turnNo === n)!.playedAt;
  expect(await balls()).toEqual([0, 0, null]);
  await takeIn(db, at.actor, at.sessionId, [ball]);
  expect(await balls()).toEqual([1, 1, await playedAt(3)]);
  await takeIn(db, at.actor, at.sessionId, [total]);
  // That one was played before the other.
  expect(await balls()).toEqual([4, 4, await playedAt(3)]);
  await takeIn(db, at.actor, at.sessionId, [own(at, voidOf(record(game(), 3, left(2), 41), 41))]);
  expect(await balls()).toEqual([3, 3, await playedAt(0)]);
  const { before, after } = await rebuilt(at);
  expect(withoutLook(after)).toEqual(withoutLook(before));
});

test('a long session is over with its last ball, and not looked at before', async () => {
  const at = await academy();
  const spec = game({ stations: [station('a', { balls: 40 })] });
  const [gameId, sessionId] = [idOf(at.n * 100_000 + 50), idOf(at.n * 100_000 + 51)];
  await saveGame(db, at.actor, gameId, spec);
  await startSession(db, at.actor, sessionId, gameId, [{ playerId: at.playerId, allowance: 0 }]);
  const say = (turn: number) => takeIn(db, at.actor, sessionId, [own(at, recordTurn(turnsOf(spec)[turn]!, left(3), turn), sessionId)]);
  const now = async () => (await getSession(db, at.actor, sessionId))!.session;
  await say(0);
  expect(await now()).toMatchObject({ balls: 1, overFrom: 40, completedAt: null });
  for (let turn = 1; turn < 39; turn++) await say(turn);
  expect(await now()).toMatchObject({ balls: 39, overFrom: 40, completedAt: null });
  await say(39);
  expect((await now()).completedAt).not.toBeNull();
  expect(await finishedSessions(db, at.actor, 10)).toHaveLength(1);
});

test('what several say at once is taken in as if they had said it one after another', async () => {
  const at = await academy();
  const [one, two] = [own(at, record(game(), 0, left(5))), own(at, record(game(), 1, left(5)))];
  const link = { kind: 'player', academyId: at.actor.academyId, playerId: idOf(1), linkId: idOf(2) } as const;
  const removed = own(at, voidOf(record(game(), 0, left(5)), 0));
  const post = (events: ShotEvent[], actor: Parameters<typeof takeInAll>[1] = at.actor) => ({ actor, events, clockBehindMs: null });
  // The same ball of two devices, a removal of a ball that was recorded in the same moment, and one that is not the link's to say.
  const taken = await takeInAll(db, at.actor, at.sessionId, [
    post([one]),
    post([one, two]),
    post([{ ...removed, eventId: idOf(at.n * 100_000 + 77) }], link),
    post([removed]),
  ]);
  expect(taken).toEqual([
    { stored: 1, known: 0, refused: [] },
    { stored: 1, known: 1, refused: [] },
    { stored: 0, known: 0, refused: [{ eventId: idOf(at.n * 100_000 + 77), why: 'This ball is another player’s.' }] },
    { stored: 1, known: 0, refused: [] },
  ]);
  expect((await rowsOf(at.actor.academyId)).map((row) => row.turnNo)).toEqual([1]);
  const { before, after } = await rebuilt(at);
  expect(withoutLook(after)).toEqual(withoutLook(before));
});

test('what is remembered of a session counts as long as it holds', async () => {
  const at = await academy();
  const memory = new Map<string, object>();
  const say = async (...events: ShotEvent[]) =>
    (await takeInAll(db, at.actor, at.sessionId, [{ actor: at.actor, events, clockBehindMs: null }], memory))[0]!;
  const ball = (turn: number) => own(at, record(game(), turn, left(5), turn));
  await say(ball(0));
  expect(memory.size).toBe(1);
  // Right away, then after everything that could make it wrong.
  const transactions = jest.spyOn(db, 'transaction');
  expect(await say(ball(1))).toMatchObject({ stored: 1 });
  expect(transactions).not.toHaveBeenCalled();
  await saveConditions(db, at.actor, at.sessionId, { stimpFt: 11 });
  await saveStationDistance(db, at.actor, at.sessionId, { key: 'a', distanceM: 7, source: 'tape' });
  transactions.mockClear();
  expect(await say(ball(2))).toMatchObject({ stored: 1 });
  expect(transactions).toHaveBeenCalledTimes(1);
  expect(await say(ball(2))).toMatchObject({ stored: 0, known: 1 });
  const foreign = own({ ...at, playerId: idOf(1) }, record(game(), 3, left(5), 33));
  expect((await say(foreign)).refused).toHaveLength(1);
  expect(await say(own(at, voidOf(record(game(), 2, left(5), 2), 40)))).toMatchObject({ stored: 1 });
  await say(ball(3), ball(4));
  const rows = await rowsOf(at.actor.academyId);
  expect(rows.map((row) => [row.turnNo, row.stimpFt])).toEqual([0, 1, 3, 4].map((turn) => [turn, 11]));
  expect(new Set(rows.filter((row) => row.stationKey === 'a').map((row) => row.distanceM))).toEqual(new Set([7]));
  // With its last ball the session is over.
  await say(ball(2 + 3), own(at, record(game(), 2, left(1), 60)));
  expect((await getSession(db, at.actor, at.sessionId))!.session.completedAt).not.toBeNull();
  transactions.mockRestore();
  const { before, after } = await rebuilt(at);
  expect(withoutLook(after)).toEqual(withoutLook(before));
});

test('what a newer program says of a ball is kept and given on; what this one can’t understand stops nothing', async () => {
  const at = await academy();
  const ball = own(at, record(game(), 0, left(5)));
  const newer: unknown = { ...ball, version: 9, weather: 'fog', payload: { ...ball.payload, spinRpm: 4000 } };
  const read = readEvents([newer]).events;
  expect(read).toEqual([newer]);
  await takeIn(db, at.actor, at.sessionId, read);
  await takeIn(db, at.actor, at.sessionId, [own(at, record(game(), 1, left(4), 1))]);
  await db.insert(shotEvent).values({
    academyId: at.actor.academyId,
    eventId: idOf(at.n * 100_000 + 91),
    shotId: ball.shotId,
    sessionId: at.sessionId,
    version: 9,
    kind: 'film' as 'void',
    payload: {},
    actor: 'program',
    deviceId: ball.deviceId,
    deviceSeq: 7,
    deviceAt: new Date(ball.deviceAt),
  });
  const said = (await eventsOfSession(db, at.actor, at.sessionId)).map(({ event }) => event);
  expect(said[0]).toEqual(newer);
  expect(said[1]).toMatchObject({ version: EVENT_VERSION });
  expect(said[2]).toMatchObject({ version: 9, kind: 'film' });
  // At the desk it is an entry of the log that nobody can read yet.
  const log = await sessionLog(db, at.actor, at.sessionId);
  expect(log.map(({ event }) => event?.kind ?? null)).toEqual(['record', 'record', null]);
  const { before, after } = await rebuilt(at);
  expect(before.shots).toHaveLength(2);
  expect(withoutLook(after)).toEqual(withoutLook(before));
});

test('a clock that is two hours behind is set right where it was measured', async () => {
  const at = await academy();
  const minute = 60_000;
  const started = Date.now();
  const slow = 120 * minute;
  const at2 = (event: ShotEvent, ms: number) =>
    event.kind === 'record' ? { ...event, payload: { ...event.payload, playedAt: new Date(ms).toISOString() } } : event;
  await db
    .update(session)
    .set({ startedAt: new Date(started - 30 * minute) })
    .where(eq(session.sessionId, at.sessionId));
  // Played ten minutes ago, which the phone calls two hours and ten minutes ago.
  const ball = at2(own(at, record(game(), 0, left(5))), started - 10 * minute - slow);
  await takeIn(db, at.actor, at.sessionId, [ball], slow);
  const [row] = await rowsOf(at.actor.academyId);
  expect(row!.playedAt.getTime()).toBe(started - 10 * minute);
  const { before, after } = await rebuilt(at);
  expect(withoutLook(after)).toEqual(withoutLook(before));
});

test('whoever changes what at once, nothing fails and the projection is that of the events', async () => {
  const at = await academy();
  const { academyId } = at.actor;
  const players = [at.playerId];
  for (let i = 0; i < 5; i++) {
    const playerId = idOf(at.n * 100_000 + 60 + i);
    await savePlayer(db, at.actor, playerId, newPlayer(`Player ${i}`, 'metric'));
    players.push(playerId);
  }
  const spec = game({ stations: [station('a', { balls: 60 }), station('b', { balls: 60 })] });
  const gameId = idOf(at.n * 100_000 + 70);
  await saveGame(db, at.actor, gameId, spec);
  const sessions = [71, 72, 73].map((n) => idOf(at.n * 100_000 + n));
  // In different orders, so that two sessions want the same players the other way round.
  for (const [i, sessionId] of sessions.entries()) {
    const order = i % 2 ? players.toReversed() : players;
    await startSession(
      db,
      at.actor,
      sessionId,
      gameId,
      order.map((playerId) => ({ playerId, allowance: 0 })),
    );
  }
  const other = openDb(process.env.TEST_DATABASE_URL!);
  const memory = new Map<string, object>();
  const until = Date.now() + 20_000;
  const turns = turnsOf(spec);
  let n = 1000;
  const done = { batches: 0, changes: 0 };
  const pause = () => new Promise((resolve) => setTimeout(resolve, 20));
  const writer = async (w: number) => {
    for (let turn = 0; Date.now() < until; turn++) {
      const sessionId = sessions[(w + turn) % sessions.length]!;
      const events = players.slice(0, 3).flatMap((playerId) => {
        const event = recordTurn(turns[turn % turns.length]!, left(1 + (n % 7)), n++, playerId);
        const mine = own({ n: at.n, playerId, sessionId }, event);
        return n % 5 === 0 ? [mine, own(at, { ...voidOf(event, n++ + 500_000), sessionId }, sessionId)] : [mine];
      });
      const post = { actor: at.actor, events, clockBehindMs: null };
      await takeInAll(w % 2 ? db : other.db, at.actor, sessionId, [post], memory);
      done.batches++;
      await pause();
    }
  };
  const changer = async (change: (i: number) => Promise<unknown>) => {
    for (let i = 0; Date.now() < until; i++) {
      await change(i);
      done.changes++;
      await pause();
    }
  };
  const results = await Promise.allSettled([
    ...[0, 1, 2, 3].map(writer),
    changer((i) => saveStationDistance(db, at.actor, sessions[i % 3]!, { key: 'a', distanceM: 5 + (i % 20), source: 'tape' })),
    changer((i) => saveStationDistance(other.db, at.actor, sessions[i % 3]!, { key: 'a', distanceM: 6 + (i % 20), source: 'eye' })),
    changer((i) => saveConditionsToday(db, at.actor, { stimpFt: 7 + (i % 5) })),
    changer((i) => saveConditionsToday(other.db, at.actor, { firmness: i % 2 ? 'firm' : 'soft' })),
    changer((i) => saveConditions(db, at.actor, sessions[i % 3]!, { wind: `wind ${i}` })),
    changer(() => rebuildShots(other.db, at.actor)),
  ]);
  await other.pool.end();
  expect(results.flatMap((one) => (one.status === 'rejected' ? [String(one.reason)] : []))).toEqual([]);
  expect(done.batches).toBeGreaterThan(50);
  expect(done.changes).toBeGreaterThan(50);
  const { before, after } = await rebuilt(at);
  expect(before.shots.length).toBeGreaterThan(100);
  expect(withoutLook(after)).toEqual(withoutLook(before));
  const records = await db.$count(shotEvent, and(eq(shotEvent.academyId, academyId), eq(shotEvent.kind, 'record')));
  const voids = await db.$count(shotEvent, and(eq(shotEvent.academyId, academyId), eq(shotEvent.kind, 'void')));
  expect(before.shots).toHaveLength(records - voids);
}, 60_000);
