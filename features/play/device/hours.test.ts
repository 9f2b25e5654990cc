import 'fake-indexeddb/auto';
import type { Home } from '@/core/exchange/home';
import { beginRun, nextPart, playedIn, stopRun } from '@/core/hour/run';
import type { Run } from '@/core/hour/run-schema';
import { bundleOf, game, idOf, SESSION } from '@/core/testing/make';
import { hourOf } from '@/core/testing/make-hour';
import { countWaiting, forgetSent, hoursHere, keepBundle, keepHour, readSession } from './store';
import { sendWaiting, syncState, tellRun } from './sync';

/** Planned hours on a device: what it keeps, and what it tells of them. */

const hour = hourOf();
const HOUR = idOf(40);
const AT = '2027-05-01T18:00:00.000Z';
const begun = beginRun(hour, { runId: idOf(41), hourId: HOUR }, AT);
const second = nextPart(begun, hour, AT);

const homeWith = (run: Run | null): Home => ({
  ...{ version: 2, academy: { slug: 'here', name: 'Here' }, player: null, expiresAt: null, at: null, sessions: [], kit: null },
  hours: [{ hourId: HOUR, at: null, hour, playerIds: [], run }],
});
const keep = (run: Run | null = null, token: string | null = null) => keepHour({ home: homeWith(run), hourId: HOUR, token });
const here = async () => (await hoursHere()).find((one) => one.hourId === HOUR);

/** What the server was told, and what it answers. */
let told: { url: string; authorization: string | undefined; run: Run }[] = [];
let status: number | 'no network' = 200;

beforeEach(async () => {
  [told, status] = [[], 200];
  global.fetch = jest.fn(async (url, init) => {
    if (typeof status !== 'number') throw new TypeError('no network');
    const { run } = JSON.parse(String((init as RequestInit).body)) as { run: Run };
    const { authorization } = (init as RequestInit).headers as Record<string, string | undefined>;
    if (run) told.push({ url: url as string, authorization, run });
    const ok = status < 300;
    return { ok, status, json: async () => (ok ? {} : { error: 'This hour has been deleted.' }) } as Response;
  });
  jest.useFakeTimers({ doNotFake: ['setImmediate', 'queueMicrotask', 'nextTick'] });
  await sendWaiting();
  await forgetSent();
});
afterEach(() => jest.useRealTimers());

test('a run is told to the server, by the link with which the hour was opened', async () => {
  await keep(null, 'here.secret');
  await tellRun(HOUR, begun);
  await sendWaiting();
  expect(told).toEqual([{ url: `/api/v1/hours/${HOUR}/run`, authorization: 'Bearer here.secret', run: begun }]);
  expect(await countWaiting()).toBe(0);
});

test('without a network it waits, and only how it stands at last is told', async () => {
  await keep();
  status = 'no network';
  await tellRun(HOUR, begun);
  await tellRun(HOUR, second);
  await sendWaiting();
  expect([await countWaiting(), syncState()]).toEqual([1, 'unreachable']);
  // Nothing is forgotten before it is told.
  await forgetSent();
  status = 200;
  await sendWaiting();
  expect(told.map(({ run }) => run.change)).toEqual([second.change]);
  expect(await countWaiting()).toBe(0);
});

test('what the server has of an hour does not go before what is newer here; what it has newer is taken', async () => {
  await keep();
  await tellRun(HOUR, second);
  await sendWaiting();
  await keep(begun);
  expect((await here())!.run).toEqual(second);
  const stopped = stopRun(second, AT);
  await keep(stopped);
  expect((await here())!.run).toEqual(stopped);
});

test('refused for good it is set aside and holds nothing up; done on, it is told again', async () => {
  await keep();
  status = 404;
  await tellRun(HOUR, begun);
  await sendWaiting();
  expect([await countWaiting(), (await here())!.why]).toEqual([0, 'This hour has been deleted.']);
  status = 200;
  await tellRun(HOUR, second);
  await sendWaiting();
  expect(told.at(-1)!.run).toEqual(second);
});

test('a session that is played in an hour knows the way back to it', async () => {
  await keep();
  await keepBundle(bundleOf(game(), [], { sessionId: SESSION }));
  expect((await readSession(SESSION))!.hourId).toBeNull();
  await tellRun(HOUR, playedIn(begun, SESSION));
  expect((await readSession(SESSION))!.hourId).toBe(HOUR);
});
