import 'fake-indexeddb/auto';
import { storedBundles, type Bundle } from '@/core/exchange/bundle';
import { play } from '@/core/play/play';
import { turnsOf } from '@/core/game/turn';
import type { ShotEvent } from '@/core/shot/shot';
import { between, bundleOf, game, holed, idOf, left, PLAYER, record, SESSION } from '@/core/testing/make';
import { amendBall, putBackBalls, recordBall, recordSet, removeBall, undoBall } from '../record';
import { askAhead, dropAhead } from './ahead';
import { hear } from './live';
import { getBundle, getHome } from './server';
import {
  DESK,
  countUnread,
  countWaiting,
  forgetSent,
  keepBundle,
  keepEvents,
  keepHome,
  keepStart,
  keyOf,
  lastSeq,
  nextBatch,
  readAside,
  readHome,
  readSession,
  renewHome,
  sessionsHere,
  settleAside,
} from './store';
import { meanToPlay, noteSession, sendWaiting, syncState } from './sync';

const spec = game();
const turns = turnsOf(spec);

const bundle = (events: ShotEvent[] = [], sessionId = SESSION) => bundleOf(spec, events, { sessionId });

/** A server for the tests: keeps what is posted, once each, and answers as it is told. */
const server = {
  events: [] as ShotEvent[],
  answer: 'stored' as 'stored' | number | 'no network',
  /** Of each event: why it is refused, or nothing. */
  refuses: (_event: ShotEvent): string | null => null,
  posts: 0,
};
const tellings = () => jest.mocked(global.fetch).mock.calls.filter(([, init]) => init?.method === 'PUT');
const respond = (status: number, body: unknown = null) => ({ ok: status < 300, status, json: async () => body }) as Response;

beforeEach(async () => {
  server.events = [];
  server.answer = 'stored';
  server.refuses = () => null;
  server.posts = 0;
  global.fetch = jest.fn(async (_url, init) => {
    server.posts++;
    if (server.answer === 'no network') throw new TypeError('no network');
    if (server.answer !== 'stored') return respond(server.answer);
    const { events: sent = [] } = JSON.parse(String((init as RequestInit).body)) as { events?: ShotEvent[] };
    const refused = sent.flatMap((event) => {
      const why = server.refuses(event);
      return why ? [{ eventId: event.eventId, why }] : [];
    });
    const events = sent.filter((event) => !server.refuses(event));
    for (const event of events) if (!server.events.some((known) => known.eventId === event.eventId)) server.events.push(event);
    return respond(refused.length > 0 ? 409 : 200, { stored: events.length, known: 0, refused });
  });
  jest.useFakeTimers({ doNotFake: ['setImmediate', 'queueMicrotask', 'nextTick'] });
  await sendWaiting();
  await forgetSent();
  await keepBundle(bundle());
  server.events = [];
});
afterEach(() => jest.useRealTimers());

const standing = async () => play(spec, (await readSession(SESSION))!.shots);
const settled = async () => {
  await sendWaiting();
  await sendWaiting();
};

/** Lets time pass, with what the store does meanwhile. */
const later = async (seconds: number) => {
  for (let s = 0; s < seconds; s++) {
    await jest.advanceTimersByTimeAsync(1000);
    for (let turn = 0; turn < 20; turn++) await new Promise((resolve) => setImmediate(resolve));
  }
};

test('a ball is on the device as soon as it is recorded, and reaches the server once', async () => {
  expect(await recordBall(bundle(), 0, turns[0]!, left(2))).toBe(true);
  expect((await standing()).running).toEqual([4]);
  await settled();
  expect(await countWaiting()).toBe(0);
  expect(server.events.map((event) => event.kind)).toEqual(['record']);
  expect(server.events[0]).toMatchObject({ deviceSeq: expect.any(Number), payload: { turnNo: 0, stationKey: 'a', leftM: 0.6096 } });
});

test('a press for a turn that is taken records nothing: twice, late, or in another tab', async () => {
  const stored = await Promise.all([1, 2, 3].map(() => recordBall(bundle(), 0, turns[0]!, holed)));
  expect(stored.filter(Boolean)).toHaveLength(1);
  expect(await recordBall(bundle(), 0, turns[2]!, holed)).toBe(false);
  expect((await standing()).played).toHaveLength(1);
  // Asked for by its station, a later ball can be played before its turn, once.
  expect(await recordBall(bundle(), 0, turns[2]!, holed, true)).toBe(true);
  expect(await recordBall(bundle(), 0, turns[2]!, holed, true)).toBe(false);
});

test('undo takes the last ball back, ball by ball, and then does nothing', async () => {
  await recordBall(bundle(), 0, turns[0]!, left(2));
  await recordBall(bundle(), 0, turns[1]!, left(5));
  const gone = await undoBall(bundle());
  expect(gone).toMatchObject([{ turnNo: 1, leftM: 1.524 }]);
  expect((await standing()).running).toEqual([4]);
  await undoBall(bundle());
  expect(await undoBall(bundle())).toEqual([]);
  await settled();
  expect(server.events.map((event) => event.kind)).toEqual(['record', 'record', 'void', 'void']);
});

test('a set that was counted together is recorded as a whole or not at all, taken back and put back as one', async () => {
  await recordBall(bundle(), 0, turns[0]!, left(2));
  const set = turns.slice(1, 3);
  expect(await recordSet(bundle(), 0, set, [left(5), left(7)])).toBe(true);
  expect((await standing()).running).toEqual([4, 6, 7]);
  // One of its turns is taken by now: nothing of it is recorded.
  expect(await recordSet(bundle(), 0, turns.slice(2, 4), [holed, holed])).toBe(false);
  const gone = await undoBall(bundle());
  expect(gone.map((shot) => shot.turnNo)).toEqual([1, 2]);
  expect((await standing()).running).toEqual([4]);
  expect(await putBackBalls(bundle(), gone)).toBe(true);
  expect((await standing()).running).toEqual([4, 6, 7]);
  await undoBall(bundle());
  await recordBall(bundle(), 0, turns[1]!, left(3));
  expect(await putBackBalls(bundle(), gone)).toBe(false);
  await settled();
  expect(server.events.map((event) => event.kind).join(' ')).toBe('record record record void void record record void void record');
});

test('without a network balls wait in their order; they go by themselves when it is back', async () => {
  server.answer = 'no network';
  for (const [turn, result] of [left(2), between(3, 6), holed].entries()) await recordBall(bundle(), 0, turns[turn]!, result);
  await settled();
  expect([await countWaiting(), syncState()]).toEqual([3, 'unreachable']);
  expect((await standing()).score).toBe(12);
  server.answer = 'stored';
  await jest.advanceTimersByTimeAsync(60_000);
  await settled();
  expect([await countWaiting(), syncState()]).toEqual([0, 'idle']);
  expect(server.events.map((event) => (event.kind === 'record' ? event.payload.turnNo : null))).toEqual([0, 1, 2]);
});

test('an answer that got lost makes a batch go twice, and it is stored once', async () => {
  server.answer = 'no network';
  await recordBall(bundle(), 0, turns[0]!, holed);
  await settled();
  server.events.push(...(await nextBatch(10))!.events);
  server.answer = 'stored';
  await settled();
  expect(server.events).toHaveLength(1);
});

test.each([
  [401, 'signed-out'],
  [409, 'refused'],
  [503, 'failing'],
  [429, 'failing'],
] as const)('an answer of %d keeps the balls and says %s', async (status, state) => {
  server.answer = status;
  await recordBall(bundle(), 0, turns[0]!, holed);
  await settled();
  expect([await countWaiting(), syncState()]).toEqual([1, state]);
});

test('what is refused is not sent again and again; what could not be reached is', async () => {
  server.answer = 409;
  await recordBall(bundle(), 0, turns[0]!, holed);
  await settled();
  const posts = server.posts;
  await later(300);
  expect(server.posts).toBe(posts);
  server.answer = 503;
  await settled();
  const before = server.posts;
  await later(300);
  expect(server.posts).toBeGreaterThan(before + 2);
  expect(server.posts).toBeLessThan(before + 15);
});

test('a bundle that was on its way while a ball was sent does not lose that ball', async () => {
  const early = bundle();
  await recordBall(bundle(), 0, turns[0]!, left(2));
  await settled();
  await keepBundle(early);
  expect((await standing()).running).toEqual([4]);
});

test('balls that another device recorded come with the bundle and keep their order', async () => {
  await keepBundle(bundle([record(spec, 0, left(2)), record(spec, 1, left(8))]));
  expect((await standing()).running).toEqual([4, 5]);
  await recordBall(bundle(), 0, turns[2]!, holed);
  expect((await standing()).running).toEqual([4, 5, 11]);
});

test('signing out forgets what is sent, and keeps what is not', async () => {
  await recordBall(bundle(), 0, turns[0]!, left(2));
  await settled();
  await forgetSent();
  expect(await readSession(SESSION)).toBeUndefined();
  await keepBundle(bundle());
  server.answer = 401;
  await recordBall(bundle(), 0, turns[0]!, left(2));
  await settled();
  await forgetSent();
  expect((await readSession(SESSION))?.shots).toHaveLength(1);
});

test('a ball is corrected and removed by facts of their own; one that is gone stays gone', async () => {
  await recordBall(bundle(), 0, turns[0]!, left(2));
  const { shotId } = (await readSession(SESSION))!.shots[0]!;
  expect(await amendBall(bundle(), shotId, { leftM: 1.5, measured: 'tape' })).toBe(true);
  expect((await readSession(SESSION))!.shots).toMatchObject([{ shotId, leftM: 1.5, measured: 'tape' }]);
  expect(await removeBall(bundle(), shotId)).toBe(true);
  expect([await amendBall(bundle(), shotId, { leftM: 1 }), await removeBall(bundle(), shotId)]).toEqual([false, false]);
  await settled();
  expect(server.events.map((event) => event.kind)).toEqual(['record', 'amend', 'void']);
});

test('a ball that was removed is put back, as long as its turn is open', async () => {
  await recordBall(bundle(), 0, turns[0]!, left(2));
  await recordBall(bundle(), 0, turns[1]!, left(5));
  const gone = await undoBall(bundle());
  expect(await putBackBalls(bundle(), gone)).toBe(true);
  const { played } = await standing();
  expect(played.map(({ turnNo, leftM, playedAt }) => ({ turnNo, leftM, playedAt }))[1]).toEqual({
    turnNo: 1,
    leftM: 1.524,
    playedAt: gone[0]!.playedAt,
  });
  // Pressed twice it is back once.
  expect(await putBackBalls(bundle(), gone)).toBe(false);
  const again = await undoBall(bundle());
  await recordBall(bundle(), 0, turns[1]!, left(3));
  expect(await putBackBalls(bundle(), again)).toBe(false);
});

test('by a personal link nobody else’s ball is corrected, removed or taken back', async () => {
  await keepBundle(bundle([record(spec, 0, left(2))]));
  const own = { ...bundle(), only: SESSION };
  const { shotId } = (await readSession(SESSION))!.shots[0]!;
  expect([await amendBall(own, shotId, { leftM: 1 }), await removeBall(own, shotId), await undoBall(own)]).toEqual([false, false, []]);
});

test('what is told of a session holds here at once, waits, and only the newest of it is sent', async () => {
  server.answer = 'no network';
  await noteSession(SESSION, { say: 'stopped', stopped: true });
  await noteSession(SESSION, { say: 'stopped', stopped: false });
  await noteSession(SESSION, { say: 'note', playerId: PLAYER, whose: 'own', text: 'too quick' });
  await settled();
  expect((await readSession(SESSION))!.bundle).toMatchObject({ stopped: false, players: [{ notes: { own: 'too quick', coach: '' } }] });
  expect(await countWaiting()).toBe(2);
  // What the server says meanwhile does not undo what waits.
  await keepBundle(bundle());
  expect((await readSession(SESSION))!.bundle.players[0]!.notes.own).toBe('too quick');
  jest.mocked(global.fetch).mockClear();
  server.answer = 'stored';
  await settled();
  expect(await countWaiting()).toBe(0);
  const told = tellings().map(([, init]) => JSON.parse(String(init!.body)) as unknown);
  expect(told).toHaveLength(2);
  expect(told).toContainEqual({ version: 1, say: 'stopped', stopped: false });
  expect(told).toContainEqual({ version: 1, say: 'note', playerId: PLAYER, whose: 'own', text: 'too quick' });
});

test('balls of the server and own ones stand in the server’s order, once each', async () => {
  await recordBall(bundle(), 0, turns[0]!, left(2));
  const [mine] = (await nextBatch(1))!.events;
  await keepEvents(SESSION, [
    { seq: 41, event: record(spec, 1, left(8)) },
    { seq: 42, event: mine! },
  ]);
  expect((await readSession(SESSION))!.events.map((event) => event.eventId)).toEqual([record(spec, 1, left(8)).eventId, mine!.eventId]);
  expect([await lastSeq(SESSION), await countWaiting()]).toEqual([42, 0]);
});

test('what a newer program says is kept: what is known of it counts, what can’t be understood waits for the program that can', async () => {
  const ball = record(spec, 1, left(8));
  const newer = { ...ball, version: 9, weather: 'fog', payload: { ...ball.payload, spinRpm: 4000 } };
  const strange = { version: 9, kind: 'film', eventId: '00000000-0000-4000-8000-0000000099ff', shotId: ball.shotId, sessionId: SESSION };
  await keepEvents(SESSION, [
    { seq: 41, event: newer },
    { seq: 42, event: strange },
  ]);
  const held = (await readSession(SESSION))!;
  expect(held.events).toEqual([newer]);
  expect(held.shots).toHaveLength(1);
  expect(held.shots[0]).not.toHaveProperty('spinRpm');
  expect([await countUnread(), await lastSeq(SESSION), await countWaiting()]).toEqual([1, 42, 0]);
  // The newer program has come, which understands it: it is read when the session is fetched again.
  await keepEvents(SESSION, [{ seq: 42, event: { ...strange, kind: 'void', version: 1, payload: {}, deviceId: ball.deviceId } }]);
  expect([await countUnread(), (await readSession(SESSION))!.shots]).toEqual([0, []]);
});

test('a session of a newer server is kept as far as this program knows it, and a note as this program makes it', async () => {
  const newer = { ...bundle(), version: 5, tide: 'low', conditions: { version: 5, dew: true, stimpFt: 9 } };
  jest.mocked(global.fetch).mockImplementationOnce(async () => respond(200, newer));
  const got = await getBundle(SESSION, 0);
  await keepBundle((got as { got: Bundle }).got);
  const held = (await readSession(SESSION))!.bundle;
  expect(held).not.toHaveProperty('tide');
  // So that whichever program comes next knows what it is: the session is of this one, the day of the newer.
  expect([held.version, held.conditions]).toEqual([storedBundles.version, { version: 5, dew: true, stimpFt: 9 }]);
});

test('a session is played by the rules with which it was stored, and one of a newer program is said to need it', async () => {
  const got = (game: unknown) => {
    jest.mocked(global.fetch).mockImplementationOnce(async () => respond(200, { ...bundle(), spec: game }));
    return getBundle(SESSION, 0);
  };
  // More stations than anybody may design today.
  const large = { ...spec, stations: Array.from({ length: 500 }, (_, i) => ({ ...spec.stations[0]!, key: `s${i}` })) };
  expect(await got(large)).toMatchObject({ got: { spec: { stations: { length: 500 } } } });
  expect(await got({ ...spec, version: spec.version + 1 })).toBe('outdated');
  jest.mocked(global.fetch).mockImplementationOnce(async () => respond(502));
  expect(await getBundle(SESSION, 0)).toBe('unreachable');
});

test('what the server refuses for good is set aside with its reason, and keeps nothing else waiting', async () => {
  server.refuses = (event) => (event.kind === 'record' && event.payload.turnNo === 1 ? 'note: A character in this can’t be kept.' : null);
  await recordBall(bundle(), 0, turns[0]!, left(2));
  await recordBall(bundle(), 0, turns[1]!, { ...left(5), note: 'odd' } as never);
  await recordBall(bundle(), 0, turns[2]!, holed);
  await settled();
  expect([server.events.length, await countWaiting(), syncState()]).toEqual([2, 0, 'idle']);
  // It counts no more: its turn is open again.
  expect((await standing()).played.map(({ turnNo }) => turnNo)).toEqual([0, 2]);
  const [one, ...more] = await readAside(SESSION);
  expect(more).toEqual([]);
  expect(one).toMatchObject({ why: 'note: A character in this can’t be kept.', said: { kind: 'record', payload: { turnNo: 1 } } });
  expect(await readAside(idOf(99))).toEqual([]);
  // What was set aside outlives a sign-out, is not sent by itself, and is sent again when somebody says so.
  await forgetSent();
  await settled();
  expect(await readAside()).toHaveLength(1);
  server.refuses = () => null;
  await settleAside(one!.id, 'again');
  expect([await countWaiting(), await readAside()]).toEqual([1, []]);
  await settled();
  expect(server.events).toHaveLength(3);
});

test('what was set aside can be discarded, a telling too', async () => {
  await recordBall(bundle(), 0, turns[0]!, left(2));
  server.refuses = () => 'Its player is not in this session.';
  await settled();
  server.answer = 403;
  await noteSession(SESSION, { say: 'stopped', stopped: true });
  await settled();
  const aside = await readAside(SESSION);
  expect(aside.map(({ said }) => ('say' in said ? said.say : said.kind))).toEqual(['record', 'stopped']);
  expect([await countWaiting(), syncState()]).toEqual([0, 'idle']);
  for (const { id } of aside) await settleAside(id, 'discard');
  expect([await readAside(), (await standing()).played]).toEqual([[], []]);
});

test('a session that fails keeps no other waiting, and is tried again', async () => {
  const other = idOf(77);
  await keepBundle(bundle([], other));
  const stored = global.fetch;
  global.fetch = jest.fn(async (url, init) => (String((init as RequestInit).body).includes(other) ? respond(500) : stored(url, init)));
  await recordBall(bundle([], other), 0, turns[0]!, left(3));
  await recordBall(bundle(), 0, turns[0]!, left(2));
  await settled();
  expect([server.events.map((event) => event.sessionId), await countWaiting(), syncState()]).toEqual([[SESSION], 1, 'failing']);
  global.fetch = stored;
  await jest.advanceTimersByTimeAsync(61_000);
  await settled();
  expect([server.events.length, await countWaiting(), syncState()]).toEqual([2, 0, 'idle']);
});

test('a server that never answers is not waited for without end', async () => {
  const timeout = jest.spyOn(AbortSignal, 'timeout').mockImplementation(() => AbortSignal.abort());
  const stored = global.fetch;
  global.fetch = jest.fn((_url, init) =>
    (init as RequestInit).signal!.aborted ? Promise.reject(new DOMException('late', 'TimeoutError')) : new Promise<never>(() => {}),
  );
  await recordBall(bundle(), 0, turns[0]!, left(2));
  await settled();
  expect([await countWaiting(), syncState()]).toEqual([1, 'failing']);
  expect(timeout).toHaveBeenCalledWith(20_000);
  timeout.mockRestore();
  global.fetch = stored;
  await settled();
  expect(await countWaiting()).toBe(0);
});

test('a session that is refused keeps no other waiting', async () => {
  const other = idOf(77);
  await keepBundle(bundle([], other));
  await recordBall(bundle(), 0, turns[0]!, left(2));
  await settled();
  server.events = [];
  const stored = global.fetch;
  global.fetch = jest.fn(async (url, init) => (String((init as RequestInit).body).includes(other) ? respond(409) : stored(url, init)));
  await recordBall(bundle([], other), 0, turns[0]!, left(2));
  await recordBall(bundle(), 0, turns[1]!, left(2));
  await settled();
  expect([server.events.map((event) => event.sessionId), await countWaiting(), syncState()]).toEqual([[SESSION], 1, 'refused']);
});

test('a personal link is the key of its sessions, and of no other', async () => {
  const home = {
    version: 1,
    at: null,
    hours: [],
    kit: null,
    academy: { slug: 'here', name: 'Here' },
    player: { playerId: PLAYER, name: 'Otto', units: 'imperial' as const },
    expiresAt: '',
    sessions: [],
  };
  const line = { sessionId: SESSION, gameId: null, title: 'Two spots', startedAt: '', over: false, balls: 0, score: null, players: [] };
  await keepHome('here.secret', { ...home, sessions: [line] });
  await recordBall(bundle(), 0, turns[0]!, left(2));
  await settled();
  const headers = jest.mocked(global.fetch).mock.calls.at(-1)![1]!.headers;
  expect(headers).toMatchObject({ authorization: 'Bearer here.secret' });
  expect([await keyOf(SESSION), await keyOf(idOf(77))]).toEqual(['here.secret', undefined]);
});

test('a start page that was forgotten while a newer one was on its way stays forgotten', async () => {
  const home = {
    version: 1,
    at: null,
    kit: null,
    hours: [],
    academy: { slug: 'here', name: 'Here' },
    player: null,
    expiresAt: null,
    sessions: [],
  };
  await renewHome(DESK, home);
  expect(await readHome(DESK)).toBeUndefined();
  await keepHome(DESK, home);
  await renewHome(DESK, { ...home, academy: { slug: 'here', name: 'Renamed' } });
  expect((await readHome(DESK))?.academy.name).toBe('Renamed');
  await forgetSent();
  await renewHome(DESK, home);
  expect(await readHome(DESK)).toBeUndefined();
});

test('messages of the live stream come whole and in order, however they are cut; what only keeps it open is none', async () => {
  const bytes = new TextEncoder().encode(
    'event: facts\ndata: [1]\n\n: still here\n\nevent: session\ndata: é\n\nevent: facts\ndata: cut off',
  );
  const stream = new ReadableStream<Uint8Array>({
    start(controller) {
      for (let at = 0; at < bytes.length; at += 7) controller.enqueue(bytes.slice(at, at + 7));
      controller.close();
    },
  });
  const heard: [string | undefined, string][] = [];
  await hear(stream, new AbortController(), async ({ event, data }) => void heard.push([event, data]));
  expect(heard).toEqual([
    ['facts', '[1]'],
    ['session', 'é'],
  ]);
});

describe('a session that was begun here', () => {
  const id = idOf(500);
  const start = { sessionId: id, academy: 'here', gameId: idOf(9), gameVersion: 1, startedAt: '2026-05-01T18:00:00.000Z', entrants: [] };
  /** Whether it is among the sessions that are here, and whether it waits. */
  const here = async () => (await sessionsHere()).flatMap(({ bundle: { sessionId }, waits }) => (sessionId === id ? [waits] : []));
  const asked = () => jest.mocked(global.fetch).mock.calls.map(([url]) => String(url));

  test('nobody hears of one that was only looked at, and it is forgotten', async () => {
    await keepStart(bundle([], id), start, null);
    await settled();
    expect(asked()).toEqual([]);
    expect([await countWaiting(), await here()]).toEqual([0, []]);
    await forgetSent();
    expect(await readSession(id)).toBeUndefined();
  });

  test('one that was left a month ago is forgotten when another is begun; one that was meant is not', async () => {
    const [old, meant] = [idOf(510), idOf(511)];
    const at = (sessionId: string) => ({ ...start, sessionId, startedAt: new Date(Date.now() - 31 * 24 * 3_600_000).toISOString() });
    server.answer = 'no network';
    await keepStart(bundle([], meant), at(meant), null);
    await meanToPlay(meant);
    await keepStart(bundle([], old), at(old), null);
    expect(await readSession(old)).toBeDefined();
    await keepStart(bundle([], id), start, null);
    expect(await readSession(old)).toBeUndefined();
    expect(await readSession(meant)).toBeDefined();
    server.answer = 'stored';
    await sendWaiting();
  });

  test('the server has it before anything else of it, once', async () => {
    server.answer = 'no network';
    await keepStart(bundle([], id), start, null);
    await meanToPlay(id);
    await recordBall(bundle([], id), 0, turns[0]!, left(2));
    await noteSession(id, { say: 'stopped', stopped: true });
    await settled();
    expect(await countWaiting()).toBe(3);
    expect(await here()).toEqual([true]);
    // Whatever is forgotten, this is not.
    await forgetSent();
    jest.mocked(global.fetch).mockClear();
    server.answer = 'stored';
    await sendWaiting();
    expect(asked()).toEqual(['/api/v1/sessions', '/api/v1/shot-events', `/api/v1/sessions/${id}`]);
    expect([await countWaiting(), await here()]).toEqual([0, [false]]);
    await sendWaiting();
    expect(asked()).toHaveLength(3);
  });

  test('one that fails keeps no other session waiting; one that is refused is set aside with its balls, and discarded with them', async () => {
    const other = idOf(501);
    await keepBundle(bundle([], other));
    server.answer = 'no network';
    await keepStart(bundle([], id), start, null);
    await meanToPlay(id);
    await recordBall(bundle([], id), 0, turns[0]!, left(2));
    await recordBall(bundle([], other), 0, turns[0]!, left(2));
    await settled();
    const plain = jest.mocked(global.fetch).getMockImplementation()!;
    const starts = (status: number) =>
      jest
        .mocked(global.fetch)
        .mockImplementation(async (url, init) =>
          url === '/api/v1/sessions' ? respond(status, { error: 'The game is gone.' }) : plain(url, init),
        );
    server.answer = 'stored';
    starts(503);
    await sendWaiting();
    expect([server.events.map(({ sessionId }) => sessionId), await countWaiting()]).toEqual([[other], 2]);
    starts(409);
    await sendWaiting();
    expect(await readAside(id)).toMatchObject([{ why: 'The game is gone.', said: { say: 'start' } }]);
    // Its ball waits for nothing but a decision.
    expect([await countWaiting(), server.events.length]).toEqual([0, 1]);
    const aside = (await readAside(id))[0]!.id;
    await settleAside(aside, 'again');
    expect(await countWaiting()).toBe(2);
    await sendWaiting();
    await settleAside(aside, 'discard');
    expect([await readSession(id), await readAside(id), await countWaiting()]).toEqual([undefined, [], 0]);
  });
});

describe('what is asked for ahead of the scripts of play', () => {
  const place = (address: string) => new URL(address, 'http://phone');
  const bundleSent = () => respond(200, bundleOf(spec, [], { sessionId: SESSION }));

  afterEach(dropAhead);

  it('is a session, and its answer is taken once', async () => {
    global.fetch = jest.fn(async () => bundleSent());
    askAhead(place(`/play#${SESSION}~a1`));
    expect(fetch).toHaveBeenCalledWith(`/api/v1/sessions/${SESSION}/bundle?after=0`, {});
    expect(await getBundle(SESSION, 0)).toMatchObject({ got: { sessionId: SESSION } });
    expect(fetch).toHaveBeenCalledTimes(1);
    await getBundle(SESSION, 0);
    expect(fetch).toHaveBeenCalledTimes(2);
  });

  it('is what a personal link opens, with its key', async () => {
    global.fetch = jest.fn(async () => respond(401));
    askAhead(place('/j#of-a-card'));
    expect(fetch).toHaveBeenCalledWith('/api/v1/link', { headers: { authorization: 'Bearer of-a-card' } });
    // Somebody else's link is asked for itself.
    expect(await getHome('of-another')).toBe('signed-out');
    expect(fetch).toHaveBeenCalledTimes(2);
    expect(await getHome('of-a-card')).toBe('signed-out');
    expect(fetch).toHaveBeenCalledTimes(2);
  });

  it('is no other address, and of another moment of the session nothing', async () => {
    for (const address of ['/play', '/play#academy~lantern-hollow', '/play#hour~a%2Fb', '/j']) askAhead(place(address));
    expect(fetch).not.toHaveBeenCalled();
    global.fetch = jest.fn(async () => bundleSent());
    askAhead(place(`/play#${SESSION}`));
    await getBundle(SESSION, 12);
    expect(fetch).toHaveBeenCalledTimes(2);
  });

  it('holds no longer once something was sent', async () => {
    await keepBundle(bundle());
    global.fetch = jest.fn(async () => bundleSent());
    askAhead(place(`/play#${SESSION}`));
    await noteSession(SESSION, { say: 'stopped', stopped: true });
    await sendWaiting();
    const before = jest.mocked(fetch).mock.calls.length;
    await getBundle(SESSION, 0);
    expect(fetch).toHaveBeenCalledTimes(before + 1);
  });
});
