import 'server-only';
import { randomUUID } from 'node:crypto';
import { Client } from 'pg';
import * as z from 'zod';
import { channelOf, DOORS_CHANNEL, type LiveChange } from '@/db/queries/live';
import { env } from './env';
import { log } from './log';

/**
 * What changes in a session, from whichever instance of the program it comes: PostgreSQL tells those that listen to the academy. One
 * connection listens and tells for the whole instance; while it is down nobody is told, and when it is back all look again.
 */
type Watcher = (change: LiveChange['change'] | 'look again' | 'stop') => void;
/** `tells`: what is said goes out; `hears`: what is told comes in, its own too. */
type Connection = { client: Client; tells: boolean; hears: boolean; announcing: boolean };
type Live = {
  /** By academy, and in it by session. */
  watchers: Map<string, Map<string, Set<Watcher>>>;
  connection: Connection | null;
  /** What is still to be told, each change once. */
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
/** Whoever tells hears it within this time, or hears nothing at all. */
const DEAF_MS = 5_000;
/** What changes within this time is told at once: a session in which many play tells no more often. */
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
  let sessions = live.watchers.get(academyId);
  if (!sessions) {
    live.watchers.set(academyId, (sessions = new Map<string, Set<Watcher>>()));
    if (live.connection?.hears) void listen(live.connection, 'listen', academyId);
  }
  const watchers = sessions.get(sessionId) ?? new Set();
  sessions.set(sessionId, watchers.add(watcher));
  connect();
  return () => {
    watchers.delete(watcher);
    if (watchers.size > 0 || sessions.get(sessionId) !== watchers) return;
    sessions.delete(sessionId);
    if (sessions.size > 0 || live.watchers.get(academyId) !== sessions) return;
    live.watchers.delete(academyId);
    if (live.connection?.hears) void listen(live.connection, 'unlisten', academyId);
  };
}

/** Begins or ends to listen to an academy, in the order in which it is asked for. Where the connection fails, its own end says so. */
async function listen({ client }: Connection, verb: 'listen' | 'unlisten', academyId: string): Promise<void> {
  await client.query(`${verb} ${client.escapeIdentifier(channelOf(academyId))}`).catch(() => undefined);
  // What changed before it listened is not told.
  if (verb === 'listen') for (const watcher of watchersOf(academyId)) watcher('look again');
}

/** All who watch a session of an academy. */
const watchersOf = (academyId: string) => [...(live.watchers.get(academyId)?.values() ?? [])].flatMap((watchers) => [...watchers]);

/** Tells every instance, this one too, what changed: after the transaction that changed it, so that none waits for another's announcing. */
export function announce(changes: readonly LiveChange[]): void {
  for (const change of changes) live.waiting.set(JSON.stringify(change), change);
  if (changes.length > 0) live.timer ??= setTimeout(sendWaiting, GATHER_MS);
}

function sendWaiting() {
  live.timer = null;
  const connection = connect();
  if (!connection.tells || connection.announcing || live.waiting.size === 0) return;
  const told = [...live.waiting];
  const channels = told.map(([, change]) => ('academyId' in change ? channelOf(change.academyId) : DOORS_CHANNEL));
  live.waiting.clear();
  connection.announcing = true;
  connection.client
    .query('select pg_notify(channel, one) from unnest($1::text[], $2::text[]) as told (channel, one)', [
      channels,
      told.map(([key]) => key),
    ])
    .then(() => {
      connection.announcing = false;
      // What came meanwhile.
      sendWaiting();
    })
    .catch(() => {
      // It goes out with the next connection; whoever watches looks again then.
      for (const [key, change] of told) live.waiting.set(key, change);
    });
}

function connect(): Connection {
  if (live.connection) return live.connection;
  const client = new Client({
    connectionString: env().LISTEN_URL ?? env().DATABASE_URL,
    keepAlive: true,
    application_name: 'inch-game live',
  });
  const connection: Connection = { client, tells: false, hears: false, announcing: false };
  live.connection = connection;
  const again = (error?: unknown) => {
    if (live.connection !== connection) return;
    live.connection = null;
    clearTimeout(deaf);
    endDoors();
    if (error) log.warn({ err: error }, 'the live channel was cut; it is opened again');
    void client.end().catch(() => undefined);
    setTimeout(connect, AGAIN_MS);
  };
  // A pooler passes on what is told and hears none of it: only who hears themselves is heard.
  const hello = JSON.stringify({ hello: randomUUID() });
  const deaf = setTimeout(
    () => log.error('the live channel hears nothing: where a pooler is in between, LISTEN_URL has to name the database itself'),
    DEAF_MS,
  ).unref();
  const hears = () => {
    clearTimeout(deaf);
    connection.hears = true;
    for (const academyId of live.watchers.keys()) void listen(connection, 'listen', academyId);
  };
  client.on('error', again);
  client.on('end', () => again());
  client.on('notification', ({ payload }) => {
    if (payload === hello) return hears();
    const change = changeSchema.safeParse(payload ? JSON.parse(payload) : null);
    if (change.success) hear(change.data);
  });
  client
    .connect()
    .then(() => client.query(`listen ${DOORS_CHANNEL}`))
    .then(() => client.query('select pg_notify($1, $2)', [DOORS_CHANNEL, hello]))
    .then(() => {
      connection.tells = true;
      sendWaiting();
    })
    .catch(again);
  return connection;
}

// The program is asked to stop: streams end, and those who followed them go on elsewhere.
if (first) process.once('inch:stop' as 'exit', () => announceToAll('stop'));

function announceToAll(change: Parameters<Watcher>[0]) {
  for (const academyId of live.watchers.keys()) for (const watcher of watchersOf(academyId)) watcher(change);
}

function hear(change: LiveChange) {
  if ('sessionId' in change) for (const watcher of live.watchers.get(change.academyId)?.get(change.sessionId) ?? []) watcher(change.change);
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
  return { works: () => connect().hears, ended: () => live.ended };
}
