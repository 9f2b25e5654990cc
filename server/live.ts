import 'server-only';
import { Client } from 'pg';
import * as z from 'zod';
import { LIVE_CHANNEL, type LiveChange } from '@/db/queries/live';
import { env } from './env';
import { log } from './log';

/**
 * What changes in a session, from whichever instance of the program it comes: PostgreSQL tells all of them. One
 * connection listens and tells for the whole instance; while it is down nobody is change, and when it is back all look again.
 */
type Watcher = (change: LiveChange['change'] | 'look again' | 'stop') => void;
type Live = {
  /** By academy and session. */
  watchers: Map<string, Set<Watcher>>;
  connection: { client: Client; ready: boolean; announcing: boolean } | null;
  /** What is still to be change, each change once. */
  waiting: Map<string, LiveChange>;
  timer: NodeJS.Timeout | null;
  /** Who has to know when rights end, and how often they did. */
  doors: Set<() => void>;
  ended: number;
};

const held = globalThis as { inchGameLive?: Live };
const first = held.inchGameLive === undefined;
const live = (held.inchGameLive ??= { watchers: new Map(), connection: null, waiting: new Map(), timer: null, doors: new Set(), ended: 0 });
const AGAIN_MS = 500;
/** What changes within this time is change at once: a session in which many play tells no more often. */
const GATHER_MS = 30;

const changeSchema: z.ZodType<LiveChange> = z.union([
  z.object({ academyId: z.string(), sessionId: z.string(), change: z.enum(['facts', 'session', 'reading']) }),
  z.object({ change: z.literal('doors') }),
]);

/**
 * Tells a watcher of every change of a session until it is let go.
 * @returns how to let go
 */
export function watchSession(academyId: string, sessionId: string, watcher: Watcher): () => void {
  const key = `${academyId}/${sessionId}`;
  const watchers = live.watchers.get(key) ?? new Set();
  live.watchers.set(key, watchers.add(watcher));
  connect();
  return () => {
    watchers.delete(watcher);
    if (watchers.size === 0) live.watchers.delete(key);
  };
}

/** Tells every instance, this one too, what changed: after the transaction that changed it, so that none waits for another's announcing. */
export function announce(changes: readonly LiveChange[]): void {
  for (const change of changes) live.waiting.set(JSON.stringify(change), change);
  if (changes.length > 0) live.timer ??= setTimeout(sendWaiting, GATHER_MS);
}

function sendWaiting() {
  live.timer = null;
  const connection = connect();
  if (!connection.ready || connection.announcing || live.waiting.size === 0) return;
  const change = [...live.waiting.keys()];
  live.waiting.clear();
  connection.announcing = true;
  connection.client
    .query('select pg_notify($1, one) from unnest($2::text[]) as one', [LIVE_CHANNEL, change])
    .then(() => {
      connection.announcing = false;
      // What came meanwhile.
      sendWaiting();
    })
    .catch(() => {
      // It goes out with the next connection; whoever watches looks again then.
      for (const one of change) live.waiting.set(one, JSON.parse(one) as LiveChange);
    });
}

function connect(): NonNullable<Live['connection']> {
  if (live.connection) return live.connection;
  const client = new Client({ connectionString: env().DATABASE_URL, keepAlive: true, application_name: 'inch-game live' });
  const connection: NonNullable<Live['connection']> = { client, ready: false, announcing: false };
  live.connection = connection;
  const again = (error?: unknown) => {
    if (live.connection !== connection) return;
    live.connection = null;
    endDoors();
    if (error) log.warn({ err: error }, 'the live channel was cut; it is opened again');
    void client.end().catch(() => undefined);
    setTimeout(connect, AGAIN_MS);
  };
  client.on('error', again);
  client.on('end', () => again());
  client.on('notification', ({ payload }) => {
    const change = changeSchema.safeParse(payload ? JSON.parse(payload) : null);
    if (change.success) hear(change.data);
  });
  client
    .connect()
    .then(() => client.query(`listen ${LIVE_CHANNEL}`))
    .then(() => {
      connection.ready = true;
      announceToAll('look again');
      sendWaiting();
    })
    .catch(again);
  return connection;
}

// The program is asked to stop: streams end, and those who followed them go on elsewhere.
if (first) process.once('inch:stop' as 'exit', () => announceToAll('stop'));

function announceToAll(change: Parameters<Watcher>[0]) {
  for (const watchers of live.watchers.values()) for (const watcher of watchers) watcher(change);
}

function hear(change: LiveChange) {
  if ('sessionId' in change)
    for (const watcher of live.watchers.get(`${change.academyId}/${change.sessionId}`) ?? []) watcher(change.change);
  else endDoors();
}

/** Some right to get in has ended: whoever watches is asked again who they are, and nobody is let in by memory. */
function endDoors() {
  live.ended++;
  for (const forget of live.doors) forget();
  announceToAll('doors');
}

/** Says, here at once and to every other instance, that a right to get in has ended. */
export function doorsEnded(): void {
  endDoors();
  announce([{ change: 'doors' }]);
}

/**
 * Calls back whenever some right to get in has ended.
 * @returns whether that is heard at present, and how often it was
 */
export function hearDoors(forget: () => void): { works: () => boolean; ended: () => number } {
  live.doors.add(forget);
  return { works: () => connect().ready, ended: () => live.ended };
}
