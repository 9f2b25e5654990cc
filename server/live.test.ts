/** @jest-environment node */
import { EventEmitter } from 'node:events';
import type { LiveChange } from '@/db/queries/live';

type Asked = { text: string; values: unknown[] };
class MockClient extends EventEmitter {
  static all: MockClient[] = [];
  asked: Asked[] = [];
  constructor() {
    super();
    MockClient.all.push(this);
  }
  connect = () => Promise.resolve();
  end = () => Promise.resolve();
  escapeIdentifier = (name: string) => `"${name}"`;
  query = (text: string, values: unknown[] = []) => {
    this.asked.push({ text, values });
    return Promise.resolve({ rows: [] });
  };
  tell = (payload: string) => this.emit('notification', { payload });
}
jest.mock('pg', () => ({ Client: MockClient }));
jest.mock('./env', () => ({ env: () => ({ DATABASE_URL: 'postgres://here' }) }));
const mockSaid: string[] = [];
jest.mock('./log', () => ({
  log: { warn: (_: unknown, text: string) => mockSaid.push(text), error: (text: string) => mockSaid.push(text) },
}));

const ACADEMY = '5c0d6b1e-0000-4000-8000-000000000001';
const CHANNEL = 'inch_live_5c0d6b1e000040008000000000000001';
const passed = (ms = 0) => jest.advanceTimersByTimeAsync(ms);

async function begun() {
  jest.resetModules();
  delete (globalThis as { inchGameLive?: unknown }).inchGameLive;
  MockClient.all = [];
  mockSaid.length = 0;
  const live = await import('./live');
  const doors = live.hearDoors(() => undefined);
  expect(doors.works()).toBe(false);
  await passed();
  const [client] = MockClient.all as [MockClient];
  const hello = client.asked.at(-1)!.values[1] as string;
  return { live, doors, client, hello };
}
beforeEach(() => jest.useFakeTimers());
afterEach(() => jest.useRealTimers());

test('who hears themselves hears; who does not says so, remembers nobody, and still tells the others', async () => {
  const { live, doors, client, hello } = await begun();
  await passed(6000);
  expect(doors.works()).toBe(false);
  expect(mockSaid).toEqual([expect.stringContaining('LISTEN_URL')]);
  live.doorsEnded();
  await passed(50);
  expect(client.asked.at(-1)!.values).toEqual([['inch_doors'], ['{"change":"doors"}']]);
  client.tell(hello);
  expect(doors.works()).toBe(true);
});

test('it listens to an academy as long as somebody watches one of its sessions, and tells whom it is about', async () => {
  const { live, client, hello } = await begun();
  client.tell(hello);
  const heard: string[] = [];
  const watch = (sessionId: string) => live.watchSession(ACADEMY, sessionId, (change) => heard.push(`${sessionId} ${change}`));
  const [one, two] = [watch('one'), watch('two')];
  await passed();
  const listened = () => client.asked.map(({ text }) => text).filter((text) => text.includes('inch_live'));
  expect(listened()).toEqual([`listen "${CHANNEL}"`]);
  expect(heard.splice(0)).toEqual(['one look again', 'two look again']);
  const change: LiveChange = { academyId: ACADEMY, sessionId: 'two', change: 'facts' };
  live.announce([change, change]);
  await passed(50);
  expect(client.asked.at(-1)!.values).toEqual([[CHANNEL], [JSON.stringify(change)]]);
  client.tell(JSON.stringify(change));
  client.tell('{"change":"what a newer program says"}');
  expect(heard).toEqual(['two facts']);
  one();
  two();
  await passed();
  expect(listened().at(-1)).toBe(`unlisten "${CHANNEL}"`);
});

test('where the channel is cut another is opened, which listens again and has everybody look again', async () => {
  const { live, client, hello, doors } = await begun();
  client.tell(hello);
  const heard: string[] = [];
  live.watchSession(ACADEMY, 'one', (change) => heard.push(change));
  await passed();
  client.emit('error', new Error('cut'));
  expect(doors.works()).toBe(false);
  await passed(600);
  const second = MockClient.all[1]!;
  second.tell(second.asked.at(-1)!.values[1] as string);
  await passed();
  expect(second.asked.at(-1)!.text).toBe(`listen "${CHANNEL}"`);
  expect(heard).toEqual(['look again', 'doors', 'look again']);
});
